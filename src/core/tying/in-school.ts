import type { FunctionId, PartId, SchoolOption } from '@/catalogue/ids';
import { SCHOOL_CODE } from '../code';
import type { Schools } from '../hook-score';
import { STEP_DEFAULTS, type Dressing, type DressingPart, type DressingStep } from '../dressings';
import type { Material } from '../materials';
import { recordOf, reworked, withFields, type Way, type WayDressing, type WaysCatalogue } from '../ways';

/** A school that was asked for and changes nothing in this dressing. */
export type UnusedSchool = keyof SchoolOption;

/** A dressing as one school works it; null when the school has no place in it. */
type SchoolChange<K extends keyof SchoolOption> = (dressing: Dressing, option: SchoolOption[K]) => Dressing | null;

const ADDED: DressingStep = { ...STEP_DEFAULTS, do: 'check' };

/** A school worked on the parts and the order of a dressing, before its steps are made; null when it has no place in it. */
type Rework<K extends keyof SchoolOption> = (
  record: WayDressing,
  option: SchoolOption[K],
  dressing: Dressing,
  materials: readonly Material[],
  ways: readonly Way[],
) => WayDressing | null;

function withSteps(dressing: Dressing, steps: DressingStep[]): Dressing {
  return { ...dressing, steps };
}

function partOf(dressing: Dressing, ...kinds: PartId[]): DressingPart | undefined {
  return dressing.parts.find((part) => kinds.includes(part.part));
}

/** A part in another material, with those that are made of its bunch. */
function withMaterial(record: WayDressing, id: string, material: string): WayDressing {
  return {
    ...record,
    parts: record.parts.map((part) => (part.id === id ? { ...part, of: [material, ...part.of.slice(1)] } : part)),
  };
}

const isTail = (part: DressingPart | undefined): part is DressingPart =>
  part?.function === 'tail.stiff' || part?.function === 'tail.split';

const tailMaterial: Rework<'tail-material'> = (record, option, dressing, materials) => {
  const tail = partOf(dressing, 'tail');
  if (!isTail(tail)) return null;
  const isFibre = (material: Material) => material.functions.includes('hackle.stiff');
  const own = materials.find((material) => material.id === tail.material);
  const wanted =
    own && isFibre(own) === (option === 'hackle-fibre')
      ? own
      : materials.find(
          (material) =>
            material.functions.includes(tail.function!) && isFibre(material) === (option === 'hackle-fibre'),
        );
  return wanted ? withMaterial(record, tail.id, wanted.id) : null;
};

const shuckMaterial: Rework<'shuck-material'> = (record, option, dressing, materials) => {
  const shuck = partOf(dressing, 'shuck');
  const does: FunctionId = option === 'soaking' ? 'shuck.soaking' : 'shuck.crinkled';
  const wanted = materials.find((material) => material.functions.includes(does));
  return shuck && wanted ? withMaterial(record, shuck.id, shuck.function === does ? shuck.material! : wanted.id) : null;
};

/** Tails that are not split lie together as one bunch. */
const tailSplit: Rework<'tail-split'> = (record, option, dressing) => {
  const tail = partOf(dressing, 'tail');
  if (!isTail(tail)) return null;
  return withFields(
    record,
    tail.id,
    option === 'none' ? { way: 'bunch', by: null } : { way: 'split-tail', by: option },
  );
};

const tieOff: SchoolChange<'tie-off'> = (dressing, option) => {
  const hackle = partOf(dressing, 'hackle');
  const post = partOf(dressing, 'post');
  const hair = dressing.parts.find((part) => part.function === 'wing.hair');
  const index = dressing.steps.findIndex((step) => step.part === hackle?.id && step.do === 'tie-off');
  if (
    !hackle ||
    index < 0 ||
    (option === 'post-base' && !post) ||
    (option === 'ahead-of-hair' && !hair) ||
    (!post && !hair)
  )
    return null;
  // What is tied off at the front stands ahead of the hair already.
  const at = option === 'post-base' ? post!.from : dressing.steps[index]!.at;
  return withSteps(
    dressing,
    dressing.steps.map((step, place) =>
      place === index
        ? { ...step, at, orientation: option === 'hook' ? step.orientation : `${SCHOOL_CODE}tie-off-${option}` }
        : step,
    ),
  );
};

const FIRST: Record<SchoolOption['work-order'], readonly PartId[]> = {
  'wing-first': ['wing', 'hair-wing', 'post'],
  'tail-first': ['tail', 'shuck'],
  'tuft-first': ['tuft'],
  'hackle-first': ['hackle'],
  'rear-first': ['larva-head', 'egg-mass', 'extended-body', 'shuck', 'tail'],
};

const BEGINS = /^(thread|bead|weight)(\.|$)/;

/** Brings a part's first work to the front of the order; not where its end would lie back over what is still to be wound. */
const workOrder: Rework<'work-order'> = (record, option, dressing, _materials, ways) => {
  const part = FIRST[option].map((kind) => partOf(dressing, kind)).find(Boolean);
  const phases = ways.find((way) => way.id === part?.way)?.phases.filter((phase) => phase.slot !== 'made') ?? [];
  const places = phases.find((phase) => phase.do === 'bind' || phase.do === 'catch-in' || phase.do === 'post');
  const block = record.order.find(
    (token) => part !== undefined && (token === part.id || phases.some((phase) => token === `${part.id}.${phase.id}`)),
  );
  const atRear = part?.from === 'tie-down';
  if (
    !part ||
    !places ||
    block === undefined ||
    !record.order.includes('thread') ||
    (!atRear && (places.points === 'rear' || places.waits === 'fold'))
  )
    return null;
  const rest = record.order.filter((token) => token !== block);
  const begin = rest.findLastIndex((token) => BEGINS.test(token)) + 1;
  return { ...record, work_order: option, order: [...rest.slice(0, begin), block, ...rest.slice(begin)] };
};

/** What each taper needs to be left in, or cut on a slant. */
const TAPER_NEEDS: Record<SchoolOption['taper'], (dressing: Dressing) => boolean> = {
  'tail-butts': (dressing) => partOf(dressing, 'tail') !== undefined,
  'wing-butts': (dressing) => partOf(dressing, 'wing', 'hair-wing', 'post') !== undefined,
  'butts-left': (dressing) => partOf(dressing, 'tail', 'shuck', 'tuft', 'wing') !== undefined,
  'side-strips': (dressing) => dressing.weights.some((weight) => weight.kind === 'sides' || weight.kind === 'wound'),
  none: () => true,
};

/** Side strips take the place of turns round the shank: the body gets wider, not thicker. */
const taper: Rework<'taper'> = (record, option, dressing) => {
  if (!TAPER_NEEDS[option](dressing)) return null;
  const wound = option === 'side-strips' ? record.parts.find((part) => part.way === 'wound') : undefined;
  if (!wound) return { ...record, taper: option };
  // Strips are bound on, so they come when the thread is on.
  return {
    ...withFields(record, wound.id, { way: 'sides' }),
    taper: option,
    order: record.order.filter((token) => token !== wound.id && !token.startsWith(`${wound.id}.`)),
  };
};

const FRAGILE: ReadonlySet<string> = new Set(['body.biot', 'body.quill', 'body.herl', 'body.tubing', 'body.floss']);

/** Glue under, resin over, a counter-wound rib, or nothing; one takes the place of another. No glue where the thread's own colour must show. Source: domain §4. */
const protection: Rework<'protection'> = (record, option, dressing) => {
  const body = partOf(dressing, 'abdomen');
  const ribs = record.parts.filter((part) => part.what === 'rib');
  const fragile = body?.function != null && FRAGILE.has(body.function);
  const showThrough = dressing.threads.some((thread) => thread.role === 'show-through');
  if (
    !body ||
    (option === 'counter-rib' ? ribs.length === 0 : option !== 'none' && !fragile) ||
    (option === 'glue-under' && showThrough)
  )
    return null;
  const counter = option === 'counter-rib';
  return {
    ...record,
    protection: option,
    parts: record.parts.map((part) => (part.what === 'rib' && counter ? { ...part, counter } : part)),
  };
};

/** Rough: the dubbed thorax is teased out before the head; tidy: it is left as it was dubbed. */
const finish: SchoolChange<'finish'> = (dressing, option) => {
  const dubbed = dressing.steps.findLast((step) => step.do === 'dub');
  const part = dressing.parts.find((item) => item.id === dubbed?.part);
  if (!part) return null;
  const rest = dressing.steps.filter((step) => !(step.do === 'tease' && step.part === part.id));
  if (option === 'tidy') return withSteps(dressing, rest);
  const at = rest.findIndex((step) => step.do === 'finish');
  if (at < 0) return null;
  return withSteps(dressing, [
    ...rest.slice(0, at),
    {
      ...ADDED,
      do: 'tease',
      part: part.id,
      check: `${SCHOOL_CODE}finish-rough-check`,
      orientation: `${SCHOOL_CODE}finish-rough`,
      caution: 'needle',
    },
    ...rest.slice(at),
  ]);
};

/** Schools worked out elsewhere: hooks (size, labels, eye, length), rules of a part, the bead's seat, the hand. */
const ELSEWHERE: { [K in keyof SchoolOption]?: (dressing: Dressing) => boolean } = {
  'nymph-tail': (dressing) => dressing.parts.some((part) => part.school === 'nymph-tail'),
  'shuck-length': (dressing) => dressing.parts.some((part) => part.school === 'shuck-length'),
  'hackle-gauge': (dressing) => dressing.parts.some((part) => part.school === 'hackle-gauge'),
  'hackle-trim': (dressing) => partOf(dressing, 'hackle', 'second-hackle', 'stacked-hackle') !== undefined,
  'nymph-length': (dressing) => dressing.style === 'soft-wet',
  'bead-seat': (dressing) => dressing.weights.some((weight) => weight.kind === 'bead'),
};

/** Of each school the options that have a place in a dressing. */
export function placesFor(
  dressing: Dressing,
  schools: readonly { id: string; options: readonly { id: string }[] }[],
  catalogue: WaysCatalogue,
): ReadonlyMap<string, ReadonlySet<string>> {
  return new Map(
    schools.map(({ id, options }) => [
      id,
      new Set(
        options
          .filter((option) => inSchool(dressing, { [id]: option.id } as Schools, catalogue).unused.length === 0)
          .map((option) => option.id),
      ),
    ]),
  );
}

/** A dressing as the tier's schools work it, and the schools that have no place in it; where a hand made its steps, only schools that leave them as they are have one. The dressing given is not changed. Source: domain §4. */
export function inSchool(
  dressing: Dressing,
  schools: Schools,
  catalogue: WaysCatalogue,
): { dressing: Dressing; unused: UnusedSchool[] } {
  const unused: UnusedSchool[] = [];
  let worked = dressing;
  const take = (name: keyof SchoolOption, next: Dressing | null) => {
    if (next === null) unused.push(name);
    else worked = next;
  };
  const rework = <K extends keyof SchoolOption>(name: K, change: Rework<K>) => {
    const option = schools[name] as SchoolOption[K] | undefined;
    if (option === undefined) return;
    const record = recordOf(worked);
    const changed = record && change(record, option, worked, catalogue.materials, catalogue.ways);
    take(name, changed && reworked(worked, () => changed, catalogue));
  };
  const apply = <K extends keyof SchoolOption>(name: K, change: SchoolChange<K>) => {
    if (schools[name] !== undefined) take(name, change(worked, schools[name] as SchoolOption[K]));
  };
  rework('tail-material', tailMaterial);
  rework('shuck-material', shuckMaterial);
  rework('tail-split', tailSplit);
  rework('protection', protection);
  rework('work-order', workOrder);
  rework('taper', taper);
  apply('tie-off', tieOff);
  apply('finish', finish);
  for (const [name, has] of Object.entries(ELSEWHERE))
    if (schools[name as keyof SchoolOption] !== undefined && !has(dressing)) unused.push(name as keyof SchoolOption);
  return { dressing: worked, unused };
}
