const AT = '/api/hand-over/';

/** Why what was sent is not kept. `off`: no server here carries anything. */
export type Refused = 'used' | 'large' | 'full' | 'too-often' | 'off';
const REFUSED: readonly string[] = ['used', 'large', 'full', 'too-often'];

interface Told {
  fault?: string;
  /** How long the server keeps a bundle, s. */
  waits_s?: number;
}

const toldBy = async (answer: Response): Promise<Told> => {
  try {
    return (await answer.json()) as Told;
  } catch {
    return {};
  }
};

/** Puts a sealed bundle into its slot on the server that served this page: how many minutes it waits there, or why it does not. */
export async function sendSealed(
  slot: string,
  sealed: Uint8Array<ArrayBuffer>,
): Promise<{ minutes: number } | { refused: Refused }> {
  try {
    const answer = await fetch(`${AT}${slot}`, {
      method: 'POST',
      body: sealed,
      headers: { 'content-type': 'application/octet-stream' },
    });
    const { fault, waits_s } = await toldBy(answer);
    if (answer.status === 201) return { minutes: Math.round((waits_s ?? 0) / 60) };
    return { refused: fault !== undefined && REFUSED.includes(fault) ? (fault as Refused) : 'off' };
  } catch {
    return { refused: 'off' };
  }
}

/** Asks whether a bundle lies in a slot, and takes it out: its bytes; while there is none, how long one would wait, ms; `off` where no server carries anything. */
export async function askSealed(slot: string): Promise<Uint8Array<ArrayBuffer> | { waitsMs: number | null } | 'off'> {
  try {
    const answer = await fetch(`${AT}${slot}`);
    if (answer.status === 200 && answer.headers.get('content-type')?.startsWith('application/octet-stream'))
      return new Uint8Array(await answer.arrayBuffer());
    const { fault, waits_s } = await toldBy(answer);
    if (fault === 'too-often') return { waitsMs: null };
    return fault === 'none' ? { waitsMs: (waits_s ?? 0) * 1000 } : 'off';
  } catch {
    return 'off';
  }
}
