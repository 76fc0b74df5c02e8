import type { Version } from '../migrate';
import { ledgerApart } from '../ledger';
import { packetV1 } from './v1';

/** How a stored packet of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  ledgerApart({ from: 1, name: 'packet-moves-apart', kind: 'packet', schema: packetV1, field: 'moves' }),
];
