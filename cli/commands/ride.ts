import { MATERIALS } from '../../src/catalogue';
import { bearingOf, depthOverDrift, flyInWater, rideOf, rideReasons } from '../../src/core/ride';
import { readCard } from '../../src/core/session';
import { roundAll } from '../../src/core/units';
import { inputFault } from '../args';
import type { Command } from '../command';
import { worded } from '../json';
import { fold } from '../text';

/** Nobody fishes one fly so long without drying it, nor in water so quick. */
const MOST = { soakedS: 86_400, currentMmS: 10_000 };

export const rideCommand: Command = {
  name: 'ride',
  summary: 'how a fly rides: high, in the film, hanging, under or sunk, with what bears it and how quickly it sinks',
  flags: [
    {
      name: 'card',
      takes: 'one',
      value: 'FILE',
      help: 'a card as card --json writes it, or a match as match --json does',
    },
    { name: 'soaked', takes: 'one', value: 'S', help: 'after so many seconds afloat' },
    {
      name: 'current',
      takes: 'one',
      value: 'MM_PER_S',
      help: 'water that carries it, for the depth at the end of a drift of 5 m',
    },
  ],
  words: [],
  example: 'aubade ride --card dun.json --soaked 120 --current 400',
  shape: '{ state, margin, mass_mg, volume_mm3, sink_mm_s, depth_mm, float_s, about, reasons[] }',
  run(read, speech) {
    read.needed('card');
    const path = read.one('card');
    const soaked = read.number('soaked', [0, MOST.soakedS], false) ?? 0;
    const current = read.number('current', [0, MOST.currentMmS], false);
    const text = path === null ? null : read.file('card', path);
    const card = text === null ? null : readCard(text);
    if (card && !card.ok) read.fault(inputFault('card', card.fault.code, path!, { params: card.fault.params }));
    if (read.faults.length > 0 || !card?.ok) return null;
    const fly = flyInWater(card.card, MATERIALS);
    const ride = rideOf(fly, soaked);
    const reasons = rideReasons(ride, bearingOf(fly.parts, soaked), soaked);
    return {
      json: {
        ...(roundAll({
          state: ride.state,
          margin: ride.margin,
          mass_mg: ride.massMg,
          volume_mm3: ride.volumeMm3,
          sink_mm_s: ride.sinkMmS,
          depth_mm: current === null ? null : depthOverDrift(ride, current),
          float_s: ride.floatS,
        }) as object),
        about: true,
        reasons: worded(reasons, speech),
      },
      text: () =>
        [speech.t(`cli.ride-${ride.state}`), '', ...reasons.map((why) => fold(speech.say(why), 2))].join('\n'),
      exit: 0,
    };
  },
};
