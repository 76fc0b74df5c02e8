import type { Version } from '../migrate';
import { eventsOf } from '../ledger';
import { packetV1 } from './v1';

/** How a stored packet of before becomes one of today, a step a version. */
export const versions: readonly Version[] = [
  {
    from: 1,
    name: 'packet-moves-apart',
    up(data) {
      const { moves: _, ...rest } = packetV1.validateSync(data);
      return rest;
    },
    events: (data, id) => eventsOf('packet', id, packetV1.validateSync(data).moves),
  },
];
