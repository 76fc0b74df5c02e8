import { countsTurns, type Card, type CardPart } from '@/core/tying';
import type { Speech } from './speech';

export interface Fact {
  id: 'threads' | 'weights' | 'ribs' | 'hackles' | 'layers' | 'stash';
  title: string;
  lines: string[];
}

const mg = (value: number) => value.toFixed(value < 10 ? 1 : 0);
/** The name of a card's part inside a sentence, by the part's id. */
export function partNamed(card: Pick<Card, 'parts'>, id: string, { plain }: Speech): string {
  return plain('parts', card.parts.find((part) => part.id === id)?.part ?? id);
}

const nameOf = (card: Card, id: string) => card.parts.find((part) => part.id === id)?.material?.name ?? id;

/** Thread, weight, rib, hackle and what is seen: the same lines for screen, print and command line. */
export function cardFacts(card: Card, speech: Speech): Fact[] {
  const word = (key: string, params: Record<string, unknown> = {}) => speech.t(`ui.bench.${key}`, params);
  const facts: Fact[] = [
    {
      id: 'threads',
      title: word('threads'),
      lines: card.threads.map((thread) =>
        speech.clauses([
          word('thread', {
            name: thread.name,
            mm: speech.length(thread.diameter_mm, true),
            turns: thread.finish_turns,
          }),
          ...thread.reasons.map((why) => speech.say(why)),
        ]),
      ),
    },
    { id: 'weights', title: word('weights'), lines: card.weights.map((weight) => weightLine(weight, speech)) },
    {
      id: 'ribs',
      title: word('ribs'),
      lines: card.ribs.map(
        (rib) =>
          `${word('rib', { material: nameOf(card, rib.part), turns: rib.turns, pitch: speech.length(rib.pitch_mm, true), cut: speech.length(rib.cut_mm) })}${rib.counter ? `, ${word('counter')}` : ''}`,
      ),
    },
    {
      id: 'hackles',
      title: word('hackles'),
      lines: card.hackles.map((hackle) =>
        word(hackle.gauge === null ? 'hackle-soft' : 'hackle', {
          material: nameOf(card, hackle.part),
          barb: speech.length(hackle.barb_mm),
          gauge: hackle.gauge,
          turns: hackle.turns,
          trim: speech.t(`ui.trim.${hackle.trim}`),
          stem: speech.length(hackle.stem_mm),
        }),
      ),
    },
    {
      id: 'layers',
      title: word('layers'),
      lines: card.layers.map((layer) =>
        word('layer', {
          part: speech.name('parts', card.parts.find((part) => part.id === layer.part)?.part ?? layer.part),
          dry: speech.shade(layer.dry.shade),
          wet: speech.shade(layer.wet.shade),
        }),
      ),
    },
  ];
  facts.push({ id: 'stash', title: word('stash'), lines: card.stash.map((why) => speech.say(why)) });
  return facts.filter((fact) => fact.lines.length > 0);
}

function weightLine(weight: Card['weights'][number], speech: Speech): string {
  const word = (key: string, params: Record<string, unknown>) => speech.t(`ui.bench.${key}`, params);
  const metal = weight.metal ? speech.name('metals', weight.metal) : '';
  if (weight.kind === 'bead')
    return speech.clauses([
      word('weight-bead', {
        metal,
        mm: speech.length(weight.diameter_mm!),
        kind: speech.plain('bead-kinds', weight.bead_kind!),
        bore: speech.length(weight.bore_needed_mm!, true),
        mass: mg(weight.mass_mg),
      }),
      ...weight.warnings.map((warning) => speech.say(warning)),
    ]);
  if (weight.kind === 'wound')
    return word('weight-wound', {
      metal,
      wire: speech.length(weight.wire_mm!, true),
      turns: weight.turns,
      length: speech.length(weight.length_mm!),
      mass: mg(weight.mass_mg),
    });
  if (weight.kind === 'sides')
    return word('weight-sides', {
      metal,
      wire: speech.length(weight.wire_mm!, true),
      length: speech.length(weight.length_mm!),
      mass: mg(weight.mass_mg),
    });
  return word('weight-hook', { mass: mg(weight.mass_mg) });
}

/** How many, in what they are counted: turns of what is wound, pieces of what is bound. */
export function partCount(part: CardPart, speech: Speech): string | null {
  if (part.count === null || part.count === 0) return null;
  return countsTurns(part.part, part.material?.function ?? null)
    ? speech.t('step.turns', { count: part.count })
    : `× ${part.count}`;
}

/** A part's colour by name, dry and wet, and what it stays where its material comes in no such shade. */
export function partColourLine(part: CardPart, speech: Speech): string | null {
  const { colour } = part;
  if (!colour) return null;
  const dry = speech.shade(colour.shade);
  const wet = colour.wet ? speech.shade(colour.wet.shade) : null;
  const both = wet === null || wet === dry ? dry : speech.t('card-sheet.colour', { dry, wet });
  return colour.stays === null ? both : speech.t('card-sheet.stays', { colour: both, de: Math.round(colour.stays) });
}

/** Each caution once, with the steps it belongs to. */
export function careLines(card: Card, speech: Speech): string[] {
  const steps = new Map<string, (number | null)[]>();
  for (const caution of card.cautions) steps.set(caution.id, [...(steps.get(caution.id) ?? []), caution.step]);
  return [...steps].map(([id, at]) => {
    const numbers = at.filter((step) => step !== null);
    const text = speech.t(`caution.${id}`);
    const made = card.assemblies.flatMap((assembly) =>
      assembly.steps
        .filter((step) => step.caution === id)
        .map((step) => speech.t('card-sheet.made-step', { name: speech.worded(assembly.name), n: step.n })),
    );
    if (numbers.length === 0)
      return made.length === 0 ? text : speech.t('card-sheet.care-made', { text, steps: speech.list(made) });
    return speech.t('card-sheet.care-at', { text, steps: speech.list(numbers), count: numbers.length });
  });
}
