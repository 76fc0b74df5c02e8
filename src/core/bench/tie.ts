import type { Param } from '../code';
import { BENCH } from '../constants';
import {
  WIRE,
  type BenchHook,
  type BenchState,
  type BenchStep,
  type End,
  type Made,
  type PartStanding,
  type Refusal,
  type RuleId,
  type Skin,
  type Stretch,
  type Tied,
} from './bench-shape';

const PLACES: ReadonlySet<string> = new Set([
  'bind',
  'catch-in',
  'wind',
  'dub',
  'fold',
  'loop',
  'post',
  'divide',
  'finish',
  'tie-off',
]);
const NEEDS_THREAD: ReadonlySet<string> = new Set([
  'bind',
  'catch-in',
  'dub',
  'divide',
  'post',
  'loop',
  'tie-off',
  'finish',
]);
const BEGINS: ReadonlySet<string> = new Set(['bind', 'catch-in', 'dub', 'wind', 'loop']);
/** What a part must see done last before it is in its place, and what puts it there where nothing is wound or folded. */
const WINDS: ReadonlySet<string> = new Set(['wind', 'dub', 'fold']);
const PUTS: ReadonlySet<string> = new Set([
  'seat-bead',
  'lay-weight',
  'bind',
  'wind',
  'dub',
  'fold',
  'post',
  'divide',
  'coat',
  'finish',
  'tease',
]);
const CATCHES: ReadonlySet<string> = new Set(['catch-in', 'loop', 'bind']);
const BODIES: ReadonlySet<string> = new Set(['abdomen', 'thorax', 'case', 'extended-body', 'underbody']);
const PLUMES: ReadonlySet<string> = new Set(['wing.tuft', 'hackle.cdc-loop']);

const mm = (value: number): Param => ({ mm: value });

/** How much of two stretches is common, mm. */
export function overlap(a: Stretch, b: Stretch): number {
  return Math.min(a.rear, b.rear) - Math.max(a.front, b.front);
}

const inside = (x: number, { rear, front }: Stretch) => x < rear - BENCH.slackMm && x > front + BENCH.slackMm;

/** Parts of [front, rear] that no stretch covers. */
export function gaps({ rear, front }: Stretch, covered: readonly Stretch[]): Stretch[] {
  const sorted = [...covered].sort((a, b) => a.front - b.front);
  const open: Stretch[] = [];
  let at = front;
  for (const one of sorted) {
    if (one.front > at) open.push({ front: at, rear: Math.min(one.front, rear) });
    at = Math.max(at, one.rear);
    if (at >= rear) break;
  }
  if (at < rear) open.push({ front: at, rear });
  return open.filter((gap) => gap.rear > gap.front);
}

/** Ties steps on a hook one after another. After a refusal it does what was meant, so that no fault hides another. */
class Bench {
  readonly refusals: Refusal[] = [];
  readonly states: BenchState[] = [];
  private threads: { id: string; x: number }[] = [];
  private ends: End[] = [];
  private waste: BenchState['waste'] = [];
  private skins: Skin[] = [];
  private wet: BenchState['wet'] = [];
  private bead: BenchState['bead'] = null;
  private vise: BenchState['vise'] = 'normal';
  private clockS = 0;
  private placed = new Set<string>();
  private parts: Record<string, PartStanding> = {};
  private armed = false;
  private whipped = false;
  private inspected = false;

  constructor(
    private readonly steps: readonly BenchStep[],
    private readonly hook: BenchHook,
    private readonly made: readonly Made[],
  ) {
    for (const { part } of made) this.placed.add(part);
  }

  run(): Tied {
    this.steps.forEach((step, index) => {
      this.before(step);
      this.act(step, index);
      this.after(step);
    });
    const last = this.steps[this.steps.length - 1];
    if (last) for (const thread of this.threads) this.refuse('T6', last, { thread: thread.id });
    return { states: this.states, refusals: this.refusals };
  }

  private refuse(rule: RuleId, step: BenchStep, params: Record<string, Param> = {}, part = step.part) {
    if (this.refusals.some((known) => known.rule === rule && known.step === step.n && known.part === part)) return;
    this.refusals.push({ rule, step: step.n, part, params });
  }

  /** Rules that hold for any act: the check before what cannot be undone, the bead's place, the hook's ends. */
  private before(step: BenchStep) {
    if (step.never && !step.checked && !this.armed) this.refuse('O6', step);
    if (step.at === null) return;
    const { bead } = this;
    const within = (at: number) =>
      bead !== null && at < bead.rearMm - BENCH.slackMm && at > bead.frontMm - BENCH.slackMm;
    const covers =
      bead !== null &&
      step.do === 'finish' &&
      step.span !== null &&
      overlap(step.span, { rear: bead.rearMm, front: Math.max(0, bead.frontMm) }) > BENCH.slackMm;
    if (bead && PLACES.has(step.do) && (within(step.at) || covers))
      this.refuse('P1', step, { at: mm(step.at), bead: mm(bead.rearMm) });
    if (PLACES.has(step.do) && (step.at < -BENCH.slackMm || step.at > this.hook.tieDownMm + BENCH.slackMm))
      this.refuse('P7', step, { at: mm(step.at) });
  }

  private after(step: BenchStep) {
    this.armed = step.checked || step.do === 'check';
    this.clockS += step.seconds;
    if (step.vise) this.vise = step.vise;
    this.stands(step);
    this.states.push({
      step: step.n,
      parts: this.parts,
      threads: this.threads.map((item) => ({ ...item })),
      ends: this.ends.map((item) => ({ ...item })),
      waste: this.waste.map((item) => ({ ...item })),
      skins: this.skins.map((item) => ({ ...item })),
      wet: this.wet.filter((item) => item.untilS > this.clockS),
      bead: this.bead && { ...this.bead },
      vise: this.vise,
      clockS: this.clockS,
      bareMm: this.bare().reduce((sum, gap) => sum + gap.rear - gap.front, 0),
    });
  }

  /** How far the part of a step has come, and with it what was bound into it beforehand. */
  private stands(step: BenchStep) {
    const { part } = step;
    if (part === null) return;
    const still = (does: (other: BenchStep) => boolean) =>
      this.steps.some((other) => other.part === part && other.n > step.n && does(other));
    const waits = still((other) => WINDS.has(other.do) && other.as === null);
    const there =
      this.parts[part]?.there === 'placed' || (PUTS.has(step.do) && !waits)
        ? 'placed'
        : CATCHES.has(step.do) || WINDS.has(step.do)
          ? 'waiting'
          : this.parts[part]?.there;
    if (!there) return;
    const standing: PartStanding = {
      there,
      toLength: !still((other) => other.do === 'draw' || (other.do === 'cut' && other.cuts === 'show')),
      trimmed: !still((other) => other.do === 'clip'),
    };
    this.parts = { ...this.parts, [part]: standing };
    for (const bound of this.made)
      if (bound.of === part)
        this.parts = { ...this.parts, [bound.part]: { ...standing, toLength: true, trimmed: true } };
  }

  private get face(): number {
    return this.bead?.rearMm ?? 0;
  }

  /** Hook that no body hides; a collar in front hides its own stretch, a feather over a body only that. */
  private bare(): Stretch[] {
    const closed = this.skins.filter((skin) => skin.cover === 'closed' || skin.cover === 'top');
    const collars = this.skins.filter(
      (skin) =>
        skin.cover === 'open' &&
        skin.kind !== 'rib' &&
        skin.kind !== 'gills' &&
        closed.every((body) => overlap(body, skin) <= 0.5 * (skin.rear - skin.front)),
    );
    return gaps({ rear: this.hook.tieDownMm, front: this.face }, [...closed, ...collars]);
  }

  /** The thread that is worked with; refuses where there is none. */
  private thread(step: BenchStep): { id: string; x: number } | null {
    const own = step.byThread ? this.threads.find((item) => item.id === step.material) : undefined;
    const thread = own ?? this.threads[this.threads.length - 1] ?? null;
    if (thread === null && step.heldBy === null) this.refuse('T1', step);
    return thread;
  }

  /** Closed covers that later steps lay. */
  private later(index: number): Stretch[] {
    return this.steps
      .slice(index)
      .flatMap((step) =>
        step.span && step.cover === 'closed' && (step.do === 'wind' || step.do === 'dub' || step.do === 'finish')
          ? [step.span]
          : [],
      );
  }

  private hiddenLater(stretch: Stretch, index: number): boolean {
    return gaps(stretch, this.later(index)).every((gap) => gap.rear - gap.front <= BENCH.slackMm);
  }

  /** A finished body on which thread is seen; over thread, an underbody or weight it is not. */
  private shows(skin: Skin): boolean {
    return skin.cover === 'closed' && !skin.ofThread && skin.kind !== 'underbody' && skin.kind !== 'weight';
  }

  /** Fur under a hackle that lies flat round a post: thread sinks into it and the hackle hides it. */
  private underHackle(step: BenchStep, skin: Skin): boolean {
    const before = this.steps.filter((other) => other.n <= step.n);
    const posts = before.filter((other) => other.do === 'post');
    return (
      before.some((other) => other.part === skin.part && other.do === 'dub') &&
      posts.some((post) =>
        before.some(
          (other) =>
            other.kind === 'hackle' &&
            other.do === 'wind' &&
            other.at === post.at &&
            other.at !== null &&
            inside(other.at, skin),
        ),
      )
    );
  }

  /** Leads the thread to a place; over a finished body only where something later hides it. */
  private lead(step: BenchStep, index: number, x: number) {
    const thread = this.thread(step);
    if (!thread) return;
    const way: Stretch = { rear: Math.max(thread.x, x), front: Math.min(thread.x, x) };
    for (const skin of this.skins) {
      if (!this.shows(skin) || skin.part === step.part || this.underHackle(step, skin)) continue;
      const common: Stretch = { rear: Math.min(way.rear, skin.rear), front: Math.max(way.front, skin.front) };
      if (common.rear - common.front > BENCH.slackMm && !this.hiddenLater(common, index))
        this.refuse('T2', step, { over: skin.part, from: mm(common.rear), to: mm(common.front) });
    }
    thread.x = x;
  }

  /** What each verb does to what stands on the hook; a verb that is not here changes nothing. */
  private readonly acts: Partial<Record<BenchStep['do'], (step: BenchStep, index: number) => void>> = {
    'seat-bead': (step) => this.seatBead(step),
    'lay-weight': (step) => this.layWeight(step),
    'start-thread': (step, index) => this.startThread(step, index),
    bind: (step, index) => this.bind(step, index),
    'catch-in': (step, index) => this.catchIn(step, index),
    loop: (step, index) => this.catchIn(step, index),
    wind: (step, index) => this.wind(step, index),
    dub: (step, index) => this.wind(step, index),
    fold: (step) => this.fold(step),
    'tie-off': (step, index) => this.tieOff(step, index),
    cut: (step) => this.cut(step),
    coat: (step) => this.coat(step),
    divide: (step, index) => this.raise(step, index),
    post: (step, index) => this.raise(step, index),
    finish: (step, index) => this.finish(step, index),
    'free-eye': (step) => (this.inspected ? undefined : this.inspect(step)),
  };

  private act(step: BenchStep, index: number) {
    if (BEGINS.has(step.do)) this.tiedBefore(step);
    this.acts[step.do]?.(step, index);
    if (step.lock && this.bead) this.bead.locked = true;
    if (NEEDS_THREAD.has(step.do) && step.heldBy === null) this.thread(step);
  }

  private seatBead(step: BenchStep) {
    if (this.skins.length > 0 || this.threads.length > 0) this.refuse('O1', step);
    this.bead = { frontMm: this.hook.bead?.frontMm ?? 0, rearMm: this.hook.bead?.rearMm ?? 0, locked: step.lock };
  }

  /** What was wound is tied off before the next part begins. */
  private tiedBefore(step: BenchStep) {
    for (const end of this.ends)
      if (end.used && end.part !== step.part) {
        this.refuse('E5', step, { part: end.part }, end.part);
        end.used = false;
        end.for = 'show';
        this.waste.push({ part: end.part, x: end.x, stays: false });
        this.ends = this.ends.filter((item) => item !== end);
      }
  }

  private layWeight(step: BenchStep) {
    if (step.cover === 'none') {
      if (this.threads.length === 0) this.refuse('T1', step);
    } else if (this.skins.some((skin) => skin.cover === 'closed')) this.refuse('O1', step);
    if (step.span)
      this.skins.push({ ...step.span, part: step.part ?? 'weight', kind: 'weight', cover: 'none', ofThread: false });
  }

  private startThread(step: BenchStep, index: number) {
    const id = step.material ?? 'thread';
    for (const other of [...this.threads]) {
      const usedLater = this.steps
        .slice(index + 1)
        .some((next) => next.material === other.id && next.do !== 'start-thread');
      if (other.id === id || usedLater) continue;
      this.refuse('T4', step, { other: other.id });
      this.threads = this.threads.filter((item) => item !== other);
    }
    this.threads.push({ id, x: step.at ?? 0 });
  }

  /** Something bound on a finished body shows its thread, unless a later cover hides it. */
  private onBody(step: BenchStep, index: number) {
    for (const skin of this.skins) {
      if (!this.shows(skin) || step.at === null || skin.part === step.part || !inside(step.at, skin)) continue;
      if (!this.hiddenLater({ rear: step.at + BENCH.slackMm, front: step.at - BENCH.slackMm }, index + 1))
        this.refuse('O4', step, { over: skin.part });
    }
  }

  private bind(step: BenchStep, index: number) {
    const moves = step.as === 'bind-along' ? this.ends.find((end) => end.part === step.part) : undefined;
    if (moves && step.at !== null) {
      this.lead(step, index, step.at);
      moves.x = step.at;
      return;
    }
    if (step.part !== null && this.placed.has(step.part)) this.refuse('E11', step);
    if (step.part !== null) this.placed.add(step.part);
    if (step.at === null) return;
    if (step.heldBy === null) this.lead(step, index, step.at);
    this.onBody(step, index);
    if (step.part === null) return;
    this.leaveEnd(step, step.part, step.at);
    if (step.leavesWaste) this.waste.push({ part: step.part, x: step.at, stays: step.stays });
  }

  /** What stands free of a part after it is tied in: an end that waits, or shows. */
  private leaveEnd({ side, points, waits, endMm }: BenchStep, part: string, x: number) {
    this.ends.push({ part, x, side, points, for: waits, mm: endMm, used: false });
  }

  private catchIn(step: BenchStep, index: number) {
    if (step.at === null || step.part === null) return;
    if (this.ends.some((end) => end.part === step.part && end.for !== 'show')) this.refuse('E11', step);
    if (step.heldBy === null) this.lead(step, index, step.at);
    this.onBody(step, index);
    if (step.kind === 'rib') {
      const crossed = this.steps.find(
        (other) =>
          other.do !== 'catch-in' &&
          other.span &&
          other.cover === 'closed' &&
          other.kind !== null &&
          BODIES.has(other.kind) &&
          other.n < step.n &&
          inside(step.at! - 2 * BENCH.slackMm, other.span),
      );
      if (crossed) this.refuse('E10', step, { body: crossed.part ?? '' });
    }
    this.leaveEnd(step, step.part, step.at);
  }

  /** What already points into a stretch that is about to be covered, or stands in it as waste. */
  private covered(step: BenchStep, span: Stretch) {
    for (const end of this.ends) {
      if (end.part === step.part || end.used || end.points === 'up' || end.points === 'out') continue;
      const lies: Stretch =
        end.points === 'rear'
          ? { front: end.x, rear: end.x + Math.max(end.mm, 2 * BENCH.slackMm) }
          : { rear: end.x, front: end.x - Math.max(end.mm, 2 * BENCH.slackMm) };
      const meets = overlap(lies, span) > BENCH.slackMm;
      // Ends that wait to be wound or folded are lifted out of the way as long as they stand at the edge of what is wound.
      if (inside(end.x, span) || (end.for === 'show' && meets)) this.refuse('E3', step, { end: end.part });
    }
    for (const left of this.waste) {
      const stands = left.x <= span.rear + BENCH.slackMm && left.x >= span.front - BENCH.slackMm;
      if (left.stays || !stands) continue;
      this.refuse('E6', step, { at: mm(left.x) }, left.part);
      left.stays = true;
    }
  }

  private wind(step: BenchStep, index: number) {
    const { span } = step;
    const end = this.ends.find((item) => item.part === step.part && item.for === 'wind');
    if (step.do === 'wind' && !step.byThread && step.heldBy === null) {
      if (!end) this.refuse('E1', step);
      else if (span && step.at !== null) {
        const away = Math.abs(end.x - step.at);
        if (away > (step.layMm ?? 0) + BENCH.slackMm)
          this.refuse('E2', step, { caught: mm(end.x), wound: mm(step.at) });
      }
      const tied = this.steps.slice(index + 1).find((next) => next.part === step.part && next.do === 'tie-off');
      const thread = this.threads[this.threads.length - 1];
      if (thread && tied && tied.heldBy === null && tied.at !== null) this.leadUnder(step, index, tied.at);
    } else if (span) this.lead(step, index, span.rear);
    // Turns of thread that only hold something: the thread stands where they are.
    if (step.as !== null && (step.byThread || step.do === 'dub') && span === null) {
      if (step.at !== null) this.lead(step, index, step.at);
      return;
    }
    if (step.kind === 'rib') this.ribCloses(step);
    if (span) {
      if (step.cover === 'closed') {
        if (step.kind !== null && BODIES.has(step.kind))
          for (const skin of this.skins) {
            const common = overlap(skin, span);
            if (
              skin.cover === 'closed' &&
              skin.kind !== null &&
              BODIES.has(skin.kind) &&
              skin.kind !== 'underbody' &&
              skin.part !== step.part &&
              common > BENCH.slackMm
            )
              this.refuse('P2', step, { other: skin.part, mm: mm(common) });
          }
        this.covered(step, span);
      }
      if (
        (step.kind === 'rib' || step.kind === 'gills') &&
        step.wanted !== null &&
        step.turns !== null &&
        Math.abs(step.turns - step.wanted) > 0.5
      )
        this.refuse('F1', step, { n: step.turns, wanted: step.wanted });
      if (step.layMm !== null && step.turns !== null && step.cover === 'open' && step.kind !== 'rib') {
        const fit = Math.floor((span.rear - span.front) / step.layMm + 1e-6);
        if (step.turns > fit && step.turns * step.layMm > span.rear - span.front + BENCH.slackMm)
          this.refuse('F2', step, { n: step.turns, fit: Math.max(0, fit) });
      }
      this.skins.push({
        ...span,
        part: step.part ?? '',
        kind: step.kind,
        cover: step.cover,
        ofThread: step.byThread && step.do === 'wind',
      });
    }
    if (step.byThread || step.do === 'dub') {
      const thread = this.thread(step);
      if (thread && span) thread.x = span.front;
    } else if (end) {
      end.used = true;
      end.x = span
        ? step.at !== null && Math.abs(step.at - span.front) < Math.abs(step.at - span.rear)
          ? span.rear
          : span.front
        : end.x;
    }
  }

  /** The thread goes ahead under what is wound next: only a body that was closed before is in its way. */
  private leadUnder(step: BenchStep, index: number, x: number) {
    if (step.kind === 'rib' || step.cover === 'open') {
      const thread = this.threads[this.threads.length - 1]!;
      const back = x > thread.x + BENCH.slackMm;
      if (back) this.lead(step, index, x);
      else thread.x = x;
      return;
    }
    this.lead(step, index, x);
  }

  private ribCloses(step: BenchStep) {
    const under =
      step.span &&
      gaps(
        step.span,
        this.skins.filter((skin) => skin.cover === 'closed' || skin.cover === 'top'),
      );
    if (
      step.span &&
      under &&
      under.reduce((sum, gap) => sum + gap.rear - gap.front, 0) > 0.5 * (step.span.rear - step.span.front)
    )
      this.refuse('E10', step, { body: '' });
    const open = this.steps.find(
      (other) =>
        other.n > step.n &&
        other.span &&
        other.cover === 'closed' &&
        other.kind !== null &&
        BODIES.has(other.kind) &&
        other.kind !== 'underbody' &&
        step.span &&
        overlap(other.span, step.span) > BENCH.slackMm,
    );
    if (open) this.refuse('E10', step, { body: open.part ?? '' });
  }

  private fold(step: BenchStep) {
    const end = this.ends.find((item) => item.part === step.part && item.for !== 'show');
    if (!end) this.refuse('E1', step);
    const { span } = step;
    if (span) {
      for (const skin of this.skins)
        if (
          skin.cover === 'top' &&
          skin.kind === step.kind &&
          skin.part !== step.part &&
          overlap(skin, span) > 0.5 * (skin.rear - skin.front)
        )
          this.refuse('O8', step, { by: step.part ?? '' }, skin.part);
      for (const other of this.ends)
        if (other !== end && other.for === 'show' && other.points === 'up' && inside(other.x, span))
          this.refuse('E3', step, { end: other.part });
      this.skins.push({ ...span, part: step.part ?? '', kind: step.kind, cover: 'top', ofThread: false });
    }
    if (end) {
      end.used = true;
      end.for = 'fold';
      end.x = span?.front ?? end.x;
    }
  }

  private tieOff(step: BenchStep, index: number) {
    if (step.as === 'whip-away') {
      this.whipped = true;
      return;
    }
    const end = this.ends.find((item) => item.part === step.part && item.for !== 'show');
    if (step.heldBy !== null) {
      if (step.heldBy !== WIRE && !this.ends.some((item) => item.part === step.heldBy && item.for === 'wind'))
        this.refuse('E1', step, { end: step.heldBy });
    } else if (step.at !== null) this.lead(step, index, step.at);
    if (!end) {
      if (!step.byThread) this.refuse('E1', step);
      return;
    }
    if (!end.used) this.refuse('E4', step);
    this.ends = this.ends.filter((item) => item !== end);
    if (step.cuts !== 'waste') this.waste.push({ part: end.part, x: step.at ?? end.x, stays: step.stays });
  }

  private cut(step: BenchStep) {
    if (step.cuts === 'thread') {
      if (!this.whipped) this.refuse('E7', step);
      this.whipped = false;
      this.threads = this.threads.filter((item) =>
        step.material !== null ? item.id !== step.material : item !== this.threads[this.threads.length - 1],
      );
      return;
    }
    if (step.cuts === 'waste') {
      const own = this.waste.filter((left) => left.part === step.part);
      if (own.length === 0) this.refuse('E1', step);
      if (step.at !== null && own.length > 0)
        for (const skin of this.skins) {
          if (this.shows(skin) && skin.part !== step.part && inside(step.at, skin))
            this.refuse('E8', step, { over: skin.part });
        }
      // One cut takes one stub: the last that was left.
      this.waste = this.waste.filter((left) => left !== own[own.length - 1]);
      return;
    }
    const kind = step.kind;
    if (kind === 'post' || kind === 'shuck') {
      const later = this.steps.find((other) => other.n > step.n && BEGINS.has(other.do));
      if (later) this.refuse('O7', step, { later: later.n });
    }
  }

  private coat(step: BenchStep) {
    const { span } = step;
    // Glue under a body is wound into while it is wet.
    if (step.as === 'glue-under') return;
    if (span && step.kind !== 'head') {
      for (const end of this.ends)
        if (end.part === step.part && end.for !== 'show') this.refuse('O3', step, { end: end.part });
      for (const left of this.waste)
        if (left.part === step.part && !left.stays) this.refuse('O3', step, { end: left.part });
      const sticky = step.does === 'coat.glue' || step.does === 'wax';
      const plume = this.steps.find(
        (other) =>
          other.does !== null &&
          PLUMES.has(other.does) &&
          other.at !== null &&
          other.at <= span.rear + BENCH.plumeMm &&
          other.at >= span.front - BENCH.plumeMm,
      );
      if (sticky && plume && step.n > plume.n) this.refuse('O5', step, { plume: plume.part ?? '' });
      const feather =
        step.does === 'coat.resin'
          ? this.skins.find(
              (skin) => skin.cover === 'open' && skin.kind !== 'rib' && overlap(skin, span) > BENCH.slackMm,
            )
          : undefined;
      if (feather) this.refuse('O5', step, { plume: feather.part });
    }
    if (span && step.as === 'roll-grit') for (const thread of this.threads) thread.x = span.front;
    if (span && step.as === 'roll-grit')
      this.skins.push({ ...span, part: step.part ?? 'case', kind: step.kind, cover: 'closed', ofThread: false });
    if (span && step.waitS > 0) this.wet.push({ ...span, part: step.part ?? '', untilS: this.clockS + step.waitS });
  }

  private raise(step: BenchStep, index: number) {
    if (step.at !== null) this.lead(step, index, step.at);
    for (const end of this.ends)
      if (end.part === step.part && end.for === 'show')
        end.points = step.do === 'post' || end.points === 'front' ? 'up' : end.points;
  }

  private finish(step: BenchStep, index: number) {
    const thread = this.thread(step);
    this.whipped = true;
    if (step.byThread && thread && !this.threads.some((item) => item.id === step.material))
      this.refuse('T5', step, { thread: step.material });
    if (step.at !== null) this.lead(step, index, step.at);
    if (step.span)
      this.skins.push({ ...step.span, part: step.part ?? 'head', kind: 'head', cover: 'closed', ofThread: true });
    this.inspect(step);
  }

  /** What a finished fly must not have: ends that hang, waste, a loose bead, bare wire. */
  private inspect(step: BenchStep) {
    this.inspected = true;
    for (const end of this.ends) if (end.for !== 'show') this.refuse(end.used ? 'E5' : 'E4', step, {}, end.part);
    for (const left of this.waste) if (!left.stays) this.refuse('E6', step, { at: mm(left.x) }, left.part);
    this.ends = this.ends.filter((end) => end.for === 'show');
    this.waste = this.waste.filter((left) => left.stays);
    if (this.bead && !this.bead.locked) this.refuse('P8', step, {}, 'bead');
    const wide = this.bare().filter((gap) => gap.rear - gap.front > BENCH.bareMm);
    if (wide[0]) this.refuse('P5', step, { from: mm(wide[0].rear), to: mm(wide[0].front) });
  }
}

/** Ties steps on a hook: what stands on it after each, and what hands cannot do. `made` are parts already bound into something made beforehand. Pure. Source: domain §4, §10, §12; formulas §12. */
export function tie(steps: readonly BenchStep[], hook: BenchHook, made: readonly Made[] = []): Tied {
  return new Bench(steps, hook, made).run();
}
