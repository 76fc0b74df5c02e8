const AT = '/api/hand-over/';

/** How sending went: kept there, or why not. `off`: no server here carries anything. */
export type Sent = 'sent' | 'used' | 'large' | 'full' | 'too-often' | 'off';

const faultOf = async (answer: Response): Promise<string | null> => {
  try {
    return ((await answer.json()) as { fault?: string }).fault ?? null;
  } catch {
    return null;
  }
};

/** Puts a sealed bundle into its slot on the server that served this page. */
export async function sendSealed(slot: string, sealed: Uint8Array<ArrayBuffer>): Promise<Sent> {
  try {
    const answer = await fetch(`${AT}${slot}`, {
      method: 'POST',
      body: sealed,
      headers: { 'content-type': 'application/octet-stream' },
    });
    if (answer.status === 201) return 'sent';
    const fault = await faultOf(answer);
    return fault === 'used' || fault === 'large' || fault === 'full' || fault === 'too-often' ? fault : 'off';
  } catch {
    return 'off';
  }
}

/** Asks whether a bundle lies in a slot, and takes it out: its bytes, `none` while there is nothing, `off` where no server carries anything. */
export async function askSealed(slot: string): Promise<Uint8Array<ArrayBuffer> | 'none' | 'off'> {
  try {
    const answer = await fetch(`${AT}${slot}`);
    if (answer.status === 200 && answer.headers.get('content-type')?.startsWith('application/octet-stream'))
      return new Uint8Array(await answer.arrayBuffer());
    const fault = await faultOf(answer);
    return fault === 'none' || fault === 'too-often' ? 'none' : 'off';
  } catch {
    return 'off';
  }
}
