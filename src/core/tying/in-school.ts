import type { FunctionId, PartId, SchoolOption } from '@/catalogue/ids';
import type { Schools } from '../answer/answer-shape';
import { orderFaults, STEP_DEFAULTS, type Dressing, type DressingPart, type DressingStep } from '../dressings';
import type { Material } from '../materials';

/** A school that was asked for and changes nothing in this dressing. */
export type UnusedSchool = keyof SchoolOption;

/** A dressing as one school works it; null when the school has no place in it. */
type Change<K extends keyof SchoolOption> = (dressing: Dressing, option: SchoolOption[K], materials: readonly Material[]) => Dressing | null;

/** Marks an orientation, check or mend that core adds and speech words: `school:NAME-OPTION`. */
export const SCHOOL_CODE = 'school:';

const PLACING: ReadonlySet<string> = new Set(['bind', 'catch-in', 'post']);
const BEGINNING: ReadonlySet<string> = new Set(['seat-bead', 'lay-weight', 'start-thread', 'check']);
const WINDS: ReadonlySet<string> = new Set(['wind', 'dub', 'fold']);

const ADDED: DressingStep = { ...STEP_DEFAULTS, do: 'check' };

function withSteps(dressing: Dressing, steps: DressingStep[]): Dressing {
  return { ...dressing, steps };
}

function partOf(dressing: Dressing, ...kinds: PartId[]): DressingPart | undefined {
  return dressing.parts.find((part) => kinds.includes(part.part));
}

/** The same dressing with another material for one part, in its part and its steps. */
function swapMaterial(dressing: Dressing, part: DressingPart, material: Material, does: FunctionId): Dressing {
  return {
    ...dressing,
    parts: dressing.parts.map((item) => (item.id === part.id ? { ...item, material: material.id, function: does } : item)),
    steps: dressing.steps.map((step) => (step.part === part.id && step.material === part.material ? { ...step, material: material.id } : step)),
  };
}

const tailMaterial: Change<'tail-material'> = (dressing, option, materials) => {
  const tail = partOf(dressing, 'tail');
  if (!tail || (tail.function !== 'tail.stiff' && tail.function !== 'tail.split')) return null;
  const isFibre = (material: Material) => material.functions.includes('hackle.stiff');
  const does = tail.function;
  const own = materials.find((material) => material.id === tail.material);
  const wanted = own && isFibre(own) === (option === 'hackle-fibre') ? own : materials.find((material) => material.functions.includes(does) && isFibre(material) === (option === 'hackle-fibre'));
  return wanted ? swapMaterial(dressing, tail, wanted, does) : null;
};

const shuckMaterial: Change<'shuck-material'> = (dressing, option, materials) => {
  const shuck = partOf(dressing, 'shuck');
  const does: FunctionId = option === 'soaking' ? 'shuck.soaking' : 'shuck.crinkled';
  const wanted = materials.find((material) => material.functions.includes(does));
  return shuck && wanted ? swapMaterial(dressing, shuck, shuck.function === does ? (materials.find((material) => material.id === shuck.material) ?? wanted) : wanted, does) : null;
};

/** Tails bound without a split lie together; otherwise the split is a step of its own after the binding. */
const tailSplit: Change<'tail-split'> = (dressing, option) => {
  const tail = partOf(dressing, 'tail');
  const bound = dressing.steps.findIndex((step) => step.part === tail?.id && step.do === 'bind');
  if (!tail || bound < 0 || (tail.function !== 'tail.split' && tail.function !== 'tail.stiff')) return null;
  const rest = dressing.steps.filter((step) => !(step.part === tail.id && step.do === 'divide'));
  if (option === 'none') return rest.length < dressing.steps.length ? withSteps(dressing, rest) : dressing;
  const own = dressing.steps.find((step) => step.part === tail.id && step.do === 'divide');
  const split: DressingStep = { ...ADDED, do: 'divide', part: tail.id, at: 'tie-down', material: dressing.threads[0]?.material ?? null, check: `${SCHOOL_CODE}tail-split-check`, ...own, orientation: `${SCHOOL_CODE}tail-split-${option}` };
  const at = rest.findIndex((step) => step.part === tail.id && step.do === 'bind');
  return withSteps(dressing, [...rest.slice(0, at + 1), split, ...rest.slice(at + 1)]);
};

const tieOff: Change<'tie-off'> = (dressing, option) => {
  const hackle = partOf(dressing, 'hackle');
  const post = partOf(dressing, 'post');
  const hair = dressing.parts.find((part) => part.function === 'wing.hair');
  const index = dressing.steps.findIndex((step) => step.part === hackle?.id && step.do === 'tie-off');
  if (!hackle || index < 0 || (option === 'post-base' && !post) || (option === 'ahead-of-hair' && !hair) || (!post && !hair)) return null;
  const at = option === 'hook' ? dressing.steps[index]!.at : (option === 'post-base' ? post!.from : hair!.from);
  return withSteps(dressing, dressing.steps.map((step, place) => (place === index ? { ...step, at, orientation: option === 'hook' ? step.orientation : `${SCHOOL_CODE}tie-off-${option}` } : step)));
};

const FIRST: Record<SchoolOption['work-order'], readonly PartId[]> = {
  'wing-first': ['wing', 'hair-wing', 'post'],
  'tail-first': ['tail', 'shuck'],
  'tuft-first': ['tuft'],
  'hackle-first': ['hackle'],
  'rear-first': ['larva-head', 'egg-mass', 'extended-body', 'shuck', 'tail'],
};

/** Brings the first binding of a part, with what is done to it at once, to the front; given up where that breaks an order the fly needs. */
const workOrder: Change<'work-order'> = (dressing, option) => {
  const part = FIRST[option].map((kind) => partOf(dressing, kind)).find(Boolean);
  const from = dressing.steps.findIndex((step) => step.part === part?.id && PLACING.has(step.do));
  if (!part || from < 0) return null;
  const next = dressing.steps.findIndex((step, index) => index > from && step.part !== part.id);
  const block = dressing.steps.slice(from, next);
  const rest = [...dressing.steps.slice(0, from), ...dressing.steps.slice(next)];
  const begin = rest.findIndex((step) => !BEGINNING.has(step.do));
  const moved = withSteps(dressing, [...rest.slice(0, begin), ...block, ...rest.slice(begin)]);
  return orderFaults(moved).length > orderFaults(dressing).length ? null : moved;
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
const taper: Change<'taper'> = (dressing, option) => {
  if (!TAPER_NEEDS[option](dressing)) return null;
  const weights = option === 'side-strips' ? dressing.weights.map((weight) => (weight.kind === 'wound' ? { ...weight, kind: 'sides' as const } : weight)) : dressing.weights;
  return { ...dressing, taper: option, weights };
};

const FRAGILE: ReadonlySet<string> = new Set(['body.biot', 'body.quill', 'body.herl', 'body.tubing', 'body.floss']);

/** Glue under, resin over, a counter-wound rib, or nothing. No glue where the thread's own colour must show. Source: domain §4. */
const protection: Change<'protection'> = (dressing, option, materials) => {
  const body = partOf(dressing, 'abdomen');
  if (!body) return null;
  const isOver = (step: DressingStep) => step.part === body.id && step.do === 'coat';
  if (option === 'none') return withSteps(dressing, dressing.steps.filter((step) => !isOver(step)));
  if (option === 'counter-rib') return partOf(dressing, 'rib') ? { ...dressing, parts: dressing.parts.map((part) => (part.part === 'rib' ? { ...part, counter: true } : part)) } : null;
  if (body.function === null || !FRAGILE.has(body.function)) return null;
  const does: FunctionId = option === 'resin-over' ? 'coat.resin' : 'coat.varnish';
  const coat = materials.find((material) => material.functions.includes(does));
  const showThrough = dressing.threads.some((thread) => thread.role === 'show-through');
  if (!coat || (option === 'glue-under' && showThrough)) return null;
  if (option === 'resin-over' && dressing.steps.some(isOver)) return dressing;
  const first = dressing.steps.findIndex((step) => step.part === body.id && WINDS.has(step.do));
  const last = dressing.steps.findLastIndex((step) => step.part === body.id && (WINDS.has(step.do) || step.do === 'tie-off'));
  if (first < 0) return null;
  const at = option === 'resin-over' ? last + 1 : first;
  const step: DressingStep = { ...ADDED, do: 'coat', part: body.id, material: coat.id, check: `${SCHOOL_CODE}protection-${option}-check`, orientation: `${SCHOOL_CODE}protection-${option}`, caution: coat.caution };
  return withSteps(dressing, [...dressing.steps.slice(0, at), step, ...dressing.steps.slice(at)]);
};

/** Rough: the dubbed thorax is teased out before the head; tidy: it is left as it was dubbed. */
const finish: Change<'finish'> = (dressing, option) => {
  const dubbed = dressing.steps.findLast((step) => step.do === 'dub');
  const part = dressing.parts.find((item) => item.id === dubbed?.part);
  if (!part) return null;
  const rest = dressing.steps.filter((step) => !(step.do === 'tease' && step.part === part.id));
  if (option === 'tidy') return withSteps(dressing, rest);
  const at = rest.findIndex((step) => step.do === 'finish');
  if (at < 0) return null;
  return withSteps(dressing, [...rest.slice(0, at), { ...ADDED, do: 'tease', part: part.id, check: `${SCHOOL_CODE}finish-rough-check`, orientation: `${SCHOOL_CODE}finish-rough`, caution: 'needle' }, ...rest.slice(at)]);
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

/** A dressing as the tier's schools work it, and the schools that have no place in it. The dressing given is not changed. Source: domain §4. */
export function inSchool(dressing: Dressing, schools: Schools, materials: readonly Material[]): { dressing: Dressing; unused: UnusedSchool[] } {
  const unused: UnusedSchool[] = [];
  let worked = dressing;
  const apply = <K extends keyof SchoolOption>(name: K, change: Change<K>) => {
    const option = schools[name];
    if (option === undefined) return;
    const next = change(worked, option as SchoolOption[K], materials);
    if (next === null) unused.push(name);
    else worked = next;
  };
  apply('tail-material', tailMaterial);
  apply('shuck-material', shuckMaterial);
  apply('tail-split', tailSplit);
  apply('tie-off', tieOff);
  apply('protection', protection);
  apply('finish', finish);
  apply('work-order', workOrder);
  apply('taper', taper);
  for (const [name, has] of Object.entries(ELSEWHERE)) if (schools[name as keyof SchoolOption] !== undefined && !has(dressing)) unused.push(name as keyof SchoolOption);
  return { dressing: worked, unused };
}
