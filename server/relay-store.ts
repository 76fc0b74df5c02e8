import { ClassicLevel } from 'classic-level';

/** What may lie here at once, and how long. */
export interface RelayLimits {
  /** Bytes of one bundle, of all of them, and how many they are. */
  bundle: number;
  all: number;
  count: number;
  /** How long one waits to be fetched, ms. */
  waitsMs: number;
}

export const RELAY_LIMITS: RelayLimits = {
  bundle: 64_000_000,
  all: 1_000_000_000,
  count: 20_000,
  waitsMs: 15 * 60_000,
};

/** What is known of a slot beside its bytes: until when, how many bytes wait in it, and that it was fetched. */
interface Slot {
  until: number;
  bytes: number;
  taken: boolean;
}

const SLOT = 'slot/';
const BYTES = 'bytes/';
/** A write that is answered is on the disk. */
const SURE = { sync: true } as const;

/** Sealed bundles that wait for one device, each in a slot that is used once; kept on disk, so that a restart loses nothing that was acknowledged. */
export class RelayStore {
  private readonly slots = new Map<string, Slot>();
  /** Bytes of all that waits. */
  private held = 0;
  /** Slots that are written or fetched just now. */
  private readonly busy = new Set<string>();

  private constructor(
    private readonly level: ClassicLevel<string, Buffer>,
    private readonly now: () => number,
    readonly limits: RelayLimits,
  ) {}

  /** Opens the store in a folder of its own. Rejects when another server has it open. */
  static async open(folder: string, now: () => number, limits: Partial<RelayLimits> = {}): Promise<RelayStore> {
    const level = new ClassicLevel<string, Buffer>(folder, { keyEncoding: 'utf8', valueEncoding: 'buffer' });
    await level.open();
    const store = new RelayStore(level, now, { ...RELAY_LIMITS, ...limits });
    for await (const [key, value] of level.iterator({ gte: SLOT, lt: `${SLOT}\uffff` }))
      store.note(key.slice(SLOT.length), JSON.parse(value.toString()) as Slot);
    await store.sweep();
    return store;
  }

  /** What a slot is from now on; null for nothing. */
  private note(id: string, slot: Slot | null): void {
    this.held += (slot?.bytes ?? 0) - (this.slots.get(id)?.bytes ?? 0);
    if (slot) this.slots.set(id, slot);
    else this.slots.delete(id);
  }

  /** Keeps a bundle once: a slot that was used stays used until it has run out. */
  async put(id: string, bytes: Buffer): Promise<'kept' | 'used' | 'large' | 'full'> {
    const there = this.slots.get(id);
    if (this.busy.has(id) || (there && there.until > this.now())) return 'used';
    if (bytes.length > this.limits.bundle) return 'large';
    if (this.held + bytes.length > this.limits.all || this.slots.size >= this.limits.count) return 'full';
    const slot: Slot = { until: this.now() + this.limits.waitsMs, bytes: bytes.length, taken: false };
    this.busy.add(id);
    this.note(id, slot);
    try {
      await this.level.batch(
        [
          { type: 'put', key: BYTES + id, value: bytes },
          { type: 'put', key: SLOT + id, value: Buffer.from(JSON.stringify(slot)) },
        ],
        SURE,
      );
      return 'kept';
    } catch (error) {
      this.note(id, null);
      throw error;
    } finally {
      this.busy.delete(id);
    }
  }

  /** Fetches a bundle and forgets it before it is handed out: nobody gets it twice. Null when none waits. */
  async take(id: string): Promise<Buffer | null> {
    const there = this.slots.get(id);
    if (!there || there.taken || there.until <= this.now() || this.busy.has(id)) return null;
    this.busy.add(id);
    try {
      const bytes = await this.level.get(BYTES + id);
      const slot: Slot = { ...there, bytes: 0, taken: true };
      await this.level.batch(
        [
          { type: 'del', key: BYTES + id },
          { type: 'put', key: SLOT + id, value: Buffer.from(JSON.stringify(slot)) },
        ],
        SURE,
      );
      this.note(id, slot);
      return bytes ?? null;
    } finally {
      this.busy.delete(id);
    }
  }

  /** Forgets what has run out. */
  async sweep(): Promise<void> {
    const out = [...this.slots]
      .filter(([id, { until }]) => until <= this.now() && !this.busy.has(id))
      .map(([id]) => id);
    for (const id of out) this.note(id, null);
    if (out.length > 0)
      await this.level.batch(
        out.flatMap((id) => [
          { type: 'del' as const, key: BYTES + id },
          { type: 'del' as const, key: SLOT + id },
        ]),
        SURE,
      );
  }

  close(): Promise<void> {
    return this.level.close();
  }
}
