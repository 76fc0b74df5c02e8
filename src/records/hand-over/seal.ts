/** Where a bundle waits and the key it is sealed with: made by the device that receives, told to the one that sends by a link or a code, never to the server. */
export interface HandOver {
  /** 16 random bytes, base64url: 22 letters. */
  slot: string;
  /** 32 random bytes, base64url: 43 letters. */
  key: string;
}

const VERSION = 1;
const NONCE = 12;
const LENGTH = 4;
const SLOT_BYTES = 16;
const KEY_BYTES = 32;

const toText = (bytes: Uint8Array) =>
  btoa(String.fromCharCode(...bytes))
    .replace(/\+/g, '-')
    .replace(/\//g, '_')
    .replace(/=+$/, '');
const toBytes = (text: string) =>
  Uint8Array.from(atob(text.replace(/-/g, '+').replace(/_/g, '/')), (char) => char.charCodeAt(0));

/** Whether this page may seal: browsers give the means only over https, or on the device itself. */
export const canSeal = () => typeof crypto !== 'undefined' && crypto.subtle !== undefined;

/** A new slot with a fresh key. */
export function newHandOver(): HandOver {
  const random = (count: number) => toText(crypto.getRandomValues(new Uint8Array(count)));
  return { slot: random(SLOT_BYTES), key: random(KEY_BYTES) };
}

/** The link that the sending device opens: slot and key stand in the fragment, which no browser sends to a server. */
export const linkOf = (origin: string, { slot, key }: HandOver) => `${origin}/shelf/hand-over#s=${slot}&k=${key}`;

/** Slot and key of a link's fragment; null when it holds none. */
export function handOverOf(fragment: string): HandOver | null {
  const told = new URLSearchParams(fragment.replace(/^#/, ''));
  const [slot, key] = [told.get('s') ?? '', told.get('k') ?? ''];
  return /^[\w-]{22}$/.test(slot) && /^[\w-]{43}$/.test(key) ? { slot, key } : null;
}

/** The length that so many bytes are padded to, so that a size says little of what is inside: at most an eighth more. Source: the padded unsigned lengths of Nikitin and others (2019), "Padmé". */
export function padded(bytes: number): number {
  if (bytes < 2) return bytes;
  const exponent = Math.floor(Math.log2(bytes));
  const kept = Math.floor(Math.log2(exponent)) + 1;
  const step = 2 ** Math.max(0, exponent - kept);
  return Math.ceil(bytes / step) * step;
}

/** The key as the browser uses it, and what the seal is bound to beside the bytes: version and slot. */
async function means({ slot, key }: HandOver, use: 'encrypt' | 'decrypt') {
  const own = await crypto.subtle.importKey('raw', toBytes(key), 'AES-GCM', false, [use]);
  const bound = new TextEncoder().encode(`aubade hand-over ${VERSION} ${slot}`);
  return (iv: Uint8Array<ArrayBuffer>) => ({ own, how: { name: 'AES-GCM', iv, additionalData: bound } });
}

/** Seals bytes for a slot: AES-256-GCM, a nonce of its own, the length inside, padded. */
export async function seal(to: HandOver, bytes: Uint8Array): Promise<Uint8Array<ArrayBuffer>> {
  const inside = new Uint8Array(padded(LENGTH + bytes.length));
  new DataView(inside.buffer).setUint32(0, bytes.length);
  inside.set(bytes, LENGTH);
  const nonce = crypto.getRandomValues(new Uint8Array(NONCE));
  const { own, how } = (await means(to, 'encrypt'))(nonce);
  const sealed = new Uint8Array(await crypto.subtle.encrypt(how, own, inside));
  const whole = new Uint8Array(1 + NONCE + sealed.length);
  whole[0] = VERSION;
  whole.set(nonce, 1);
  whole.set(sealed, 1 + NONCE);
  return whole;
}

export type Unsealed = { ok: true; bytes: Uint8Array<ArrayBuffer> } | { ok: false; why: 'newer' | 'wrong' };

/** Opens what was sealed for a slot; with another key, another slot, or a byte changed it stays shut. */
export async function unseal(from: HandOver, whole: Uint8Array<ArrayBuffer>): Promise<Unsealed> {
  if (whole[0] !== undefined && whole[0] > VERSION) return { ok: false, why: 'newer' };
  try {
    const { own, how } = (await means(from, 'decrypt'))(whole.slice(1, 1 + NONCE));
    const inside = new Uint8Array(await crypto.subtle.decrypt(how, own, whole.slice(1 + NONCE)));
    const length = new DataView(inside.buffer).getUint32(0);
    return length + LENGTH <= inside.length
      ? { ok: true, bytes: inside.slice(LENGTH, LENGTH + length) }
      : { ok: false, why: 'wrong' };
  } catch {
    return { ok: false, why: 'wrong' };
  }
}
