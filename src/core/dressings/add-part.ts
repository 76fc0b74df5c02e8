import type { PartId, StyleId } from '@/catalogue/ids';
import type { Dressing, DressingPart, DressingStep } from './dressing';

/** The library's own way of making a kind of part: from a dressing of the same style where there is one. Null where no dressing has it. */
export function donorOf(
  kind: PartId,
  style: StyleId,
  library: readonly Dressing[],
): { dressing: Dressing; part: DressingPart } | null {
  const having = library.filter((dressing) => dressing.parts.some((part) => part.part === kind));
  const dressing = having.find((item) => item.style === style) ?? having[0];
  return dressing ? { dressing, part: dressing.parts.find((part) => part.part === kind)! } : null;
}

/** Kinds that may stand in a dressing once only. */
const SINGLE: ReadonlySet<PartId> = new Set(['bead', 'weight', 'head', 'abdomen', 'thorax', 'case']);

/** Id for a further part of a kind; null where one is there and may stand once only. */
export function newPartId(dressing: Dressing, kind: PartId): string | null {
  const taken = dressing.parts.filter((part) => part.part === kind).length;
  if (taken > 0 && SINGLE.has(kind)) return null;
  return dressing.parts.some((part) => part.id === kind) ? `${kind}-${taken + 1}` : kind;
}

const MAKES: ReadonlySet<string> = new Set(['wind', 'dub', 'fold']);

/** Where the same work of a part ends: its step of that verb, or what makes the part where it is made in another way, and its tying off. */
function placeAfter(steps: readonly DressingStep[], part: string | null, verb: string): number {
  const same = steps.findLastIndex((own) => own.part === part && own.do === verb);
  let at =
    same >= 0 ? same : steps.findLastIndex((own) => own.part === part && (MAKES.has(verb) ? MAKES.has(own.do) : true));
  if (MAKES.has(verb)) while (steps[at + 1]?.part === part && steps[at + 1]?.do === 'tie-off') at++;
  return at;
}

/** Adds a part of a kind with its rule and its steps as the library makes it; each step goes after the one it follows there. The dressing itself where the kind cannot be added. */
export function addPart(dressing: Dressing, kind: PartId, library: readonly Dressing[]): Dressing {
  const donor = donorOf(kind, dressing.style, library);
  const id = newPartId(dressing, kind);
  if (!donor || id === null) return dressing;
  const kindOf = (part: string | null) => donor.dressing.parts.find((item) => item.id === part)?.part ?? null;
  const ownOf = (part: string) => dressing.parts.find((item) => item.part === kindOf(part))?.id ?? null;
  const station = (value: string | null): string | null => {
    if (!value?.startsWith('part:')) return value;
    const own = ownOf(value.slice(5));
    return own ? `part:${own}` : 'one-third';
  };
  const base = donor.part.base.startsWith('part:')
    ? ownOf(donor.part.base.slice(5))
      ? `part:${ownOf(donor.part.base.slice(5))}`
      : 'gape'
    : donor.part.base;
  const part: DressingPart = {
    ...structuredClone(donor.part),
    id,
    base,
    from: station(donor.part.from),
    to: station(donor.part.to),
    optional: false,
  };
  const steps = [...dressing.steps];
  let after = -1;
  donor.dressing.steps.forEach((step, index) => {
    if (step.part !== donor.part.id) return;
    const before = donor.dressing.steps
      .slice(0, index)
      .findLast(
        (item) =>
          item.part !== donor.part.id &&
          item.part !== null &&
          steps.some((own) => own.part !== null && own.part === ownOf(item.part!)),
      );
    after = Math.max(
      after,
      before ? placeAfter(steps, ownOf(before.part!), before.do) : steps.findIndex((own) => own.do === 'start-thread'),
    );
    const added: DressingStep = { ...structuredClone(step), part: id, at: station(step.at), assembly: null };
    steps.splice(after + 1, 0, added);
    after += 1;
  });
  const weight =
    kind === 'bead' || kind === 'weight'
      ? donor.dressing.weights.filter((item) =>
          kind === 'bead' ? item.kind === 'bead' : item.kind !== 'bead' && item.kind !== 'hook-wire',
        )
      : [];
  const begins = kind === 'bead' || kind === 'weight';
  const ordered = begins
    ? [...steps.filter((step) => step.part === id), ...steps.filter((step) => step.part !== id)]
    : steps;
  const tools = ordered.flatMap((step) => step.tool ?? []);
  const cautions = ordered.flatMap((step) => step.caution ?? []);
  return {
    ...dressing,
    parts: [
      ...dressing.parts.filter((item) => item.part !== 'head'),
      part,
      ...dressing.parts.filter((item) => item.part === 'head'),
    ],
    steps: ordered,
    weights: [...dressing.weights, ...structuredClone(weight)],
    tools: [...new Set([...dressing.tools, ...tools])],
    cautions: [...new Set([...dressing.cautions, ...cautions])],
  };
}

/** Makes a part optional by a switch of its own, or takes it out of every switch. */
export function setOptional(dressing: Dressing, id: string, name: string, optional: boolean): Dressing {
  const switches = dressing.switches
    .map((item) => ({ ...item, parts: item.parts.filter((part) => part !== id) }))
    .filter((item) => item.parts.length > 0);
  return {
    ...dressing,
    parts: dressing.parts.map((part) => (part.id === id ? { ...part, optional } : part)),
    switches: optional
      ? [...switches, { id: `own-${id}`, name, parts: [id], on: true, attracts: false, why: name, stages: [] }]
      : switches,
  };
}
