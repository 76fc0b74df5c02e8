import { deltaE, labOfHex, stackColour } from '../colour';
import { reason, type Reason } from '../code';
import { refusedIn, type Dressing } from '../dressings';
import { calledHeld, hexHeld, type Held, type Material } from '../materials';
import type { Card } from '../card/card-shape';
import { finishIn, headTurnBudget, threadReasons, turnsHeld, type ThreadOnHook } from './thread-advice';
import { threadFacts, type ThreadFacts } from './thread-facts';

export type Serves = 'serves' | 'care' | 'no';

/** A thread held against what one thread of a fly has to do. */
export interface ThreadVerdict {
  id: string;
  name: string;
  hex: `#${string}`;
  facts: ThreadFacts;
  serves: Serves;
  /** Turns that come together at the head, those that have room, and what they build up, mm; null where it ties no head. */
  head: { turns: number; budget: number; bulkMm: number } | null;
  /** CIEDE2000 to the thread that is written, where it shows; null where it is covered. */
  shows: number | null;
  reasons: Reason[];
}

/** So many times the turns that have room no second thread mends. */
const HOPELESS = 2;
/** So much thicker than what is written is a lump. */
const BULKIER = 1.2;
/** From so far (CIEDE2000) on a thread that shows is another fly's. */
const OTHER_COLOUR = 10;

/** What a thread of a card has to do with. */
export function threadOnCard(card: Pick<Card, 'hook' | 'parts' | 'steps'>): ThreadOnHook {
  const head = card.parts.find(({ part }) => part === 'head');
  return {
    shankMm: card.hook.shank_mm,
    eyeMm: card.hook.eye_mm,
    wireMm: card.hook.wire_mm,
    headMm: head?.mm ?? null,
    heldAtHead: turnsHeld(card.steps, head?.from_mm ?? null),
  };
}

/** How far off another thread is where it is seen: bare at the head or as a body, or through what lies over it; null where it is covered. */
function showing(dressing: Dressing, written: Material, own: Held, materials: readonly Material[]): number | null {
  const bare = dressing.parts.some(({ material }) => material === written.id);
  const apart = (one: string, other: string) => deltaE(labOfHex(one), labOfHex(other));
  const through = dressing.layers.flatMap(({ from_under: [under, ...over] }) => {
    if (under !== written.id || over.length === 0) return [];
    const skins = over.flatMap((id) => materials.find((material) => material.id === id) ?? []);
    const seen = (hex: string) =>
      stackColour([{ hex, transmittance: 0, absorbency: written.absorbency }, ...skins]).wet;
    return [apart(seen(written.hex), seen(hexHeld(own)))];
  });
  const all = [...through, ...(bare ? [apart(written.hex, hexHeld(own))] : [])];
  return all.length === 0 ? null : Math.max(...all);
}

/** Which of several threads serve as one of a dressing's on a hook, and why: hold, room at the head, what shows. Those that serve first, then the nearest in colour where it shows, then in denier. Source: domain §5, §7; formulas §8. */
export function threadsThatServe(
  dressing: Dressing,
  thread: Dressing['threads'][number],
  on: ThreadOnHook,
  held: readonly Held[],
  materials: readonly Material[],
): ThreadVerdict[] {
  const written = materials.find(({ id }) => id === thread.material);
  if (!written || written.denier === null) return [];
  const verdicts = held.flatMap((own): ThreadVerdict[] => {
    const facts = own.material.functions.includes('thread') ? threadFacts(own.material) : null;
    if (!facts || own.shade?.bright) return [];
    const { id, name } = calledHeld(own);
    const tiesHead = (thread.role === 'foundation' || thread.role === 'head') && on.headMm !== null;
    const finish = finishIn(thread.finish_turns, written.fibre, facts.fibre);
    const turns = on.heldAtHead + finish;
    const head = tiesHead
      ? { turns, budget: headTurnBudget(facts.denier, facts.fibre, on), bulkMm: turns * facts.flat.thickMm }
      : null;
    const shows = showing(dressing, written, own, materials);
    const refused = refusedIn(dressing, written, own.material);
    const tied = { ...thread, material: own.material.id, finish_turns: finish };
    const advice = threadReasons(dressing, tied, own.material, on, materials, tiesHead);
    const off = shows !== null && shows > OTHER_COLOUR;
    const no =
      refused !== null ||
      advice.some(({ code }) => code === 'thread-weak') ||
      (head !== null && head.turns > HOPELESS * head.budget);
    const thicker = facts.solidMm / threadFacts(written)!.solidMm;
    const care =
      off ||
      thicker > BULKIER ||
      (head !== null && head.turns > head.budget) ||
      (facts.fibre === 'gel-spun') !== (written.fibre === 'gel-spun');
    return [
      {
        id,
        name,
        hex: hexHeld(own),
        facts,
        serves: no ? 'no' : care ? 'care' : 'serves',
        head,
        shows,
        reasons: [
          ...(refused ? [refused] : []),
          ...advice,
          ...(thicker > BULKIER ? [reason('thread-bulkier', { share: Math.round(100 * (thicker - 1)) })] : []),
          ...(off ? [reason('thread-other-colour', { apart: Math.round(shows) })] : []),
        ],
      },
    ];
  });
  const rank = { serves: 0, care: 1, no: 2 };
  const apart = ({ facts }: ThreadVerdict) => Math.abs(Math.log(facts.denier / written.denier!));
  return verdicts.sort(
    (a, b) =>
      rank[a.serves] - rank[b.serves] ||
      Math.round(a.shows ?? 0) - Math.round(b.shows ?? 0) ||
      apart(a) - apart(b) ||
      a.id.localeCompare(b.id),
  );
}
