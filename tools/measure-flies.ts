/** Ties, photographs and measures simulated flies: dressings with seeds as JSON on stdin, what was found of each part and what is true on stdout. For tests and benchmarks. */
import { readFileSync } from 'node:fs';
import { FIELD_CARDS } from '../src/catalogue/field-cards';
import { photographOf } from '../src/core/photo';
import { flyPartMm, measureFly } from '../src/core/photo/fly/measure-fly';
import { soughtOf } from '../src/core/session';
import { anyFly, takePhoto, type Scene } from '../src/standins/camera';
import { cardOn14 } from './test-catalogue';

export interface FlyAsked {
  id: string;
  seed: number;
  /** What of the scene is otherwise. */
  more?: Partial<Scene>;
}

export interface FlyFound {
  id: string;
  seed: number;
  style: string;
  refused: string | null;
  /** Every part that was asked: how long it was found, or would lie by hand, and how long it is. */
  parts: { id: string; kind: string; sure: boolean; mm: number; truth: number | null }[];
}

const wanted = JSON.parse(readFileSync(0, 'utf8')) as FlyAsked[];
const found = wanted.map(({ id, seed, more }): FlyFound => {
  const card = cardOn14(id);
  const { photo, flyTruths } = takePhoto({ ...anyFly(seed, card).scene, ...more }, FIELD_CARDS);
  const { refused, parts, scale } = measureFly(photographOf(photo), soughtOf(card), 1, FIELD_CARDS);
  return {
    id,
    seed,
    style: card.style,
    refused: refused?.code ?? null,
    parts: parts.map((part) => ({
      id: part.id,
      kind: part.kind,
      sure: part.sure,
      mm: flyPartMm(part, scale),
      truth: flyTruths[0]?.parts.find((own) => own.id === part.id)?.mm ?? null,
    })),
  };
});
process.stdout.write(JSON.stringify(found));
