import type { Coded } from '../src/core/code';
import type { Shade } from '../src/core/colour';
import { roundAll } from '../src/core/units';
import type { Speech } from '../src/speech';

function isCoded(value: object): value is Coded {
  return 'code' in value && 'params' in value;
}

function isShaded(value: object): value is { shade: Shade } {
  return 'shade' in value;
}

/** Core's shapes with words in place of codes, undefined as null, numbers to six significant digits. */
export function worded(value: unknown, speech: Speech): unknown {
  if (value === undefined) return null;
  if (value === null || typeof value !== 'object') return roundAll(value);
  if (Array.isArray(value)) return value.map((item) => worded(item, speech));
  if (isCoded(value)) {
    const { params: _params, ...rest } = value as Coded & {
      steps?: number | null;
      weight?: number | null;
      evidence?: string | null;
    };
    return {
      code: rest.code,
      text: speech.say(value),
      steps: roundAll(rest.steps ?? null),
      weight: roundAll(rest.weight ?? null),
      evidence: rest.evidence ?? null,
    };
  }
  const entries = Object.entries(value)
    .filter(([key]) => key !== 'shade')
    .map(([key, item]) => [key, worded(item, speech)] as const);
  return Object.fromEntries(isShaded(value) ? [...entries, ['words', speech.shade(value.shade)] as const] : entries);
}
