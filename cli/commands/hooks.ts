import { reads, readsGape, referenceEye, referenceGape, referenceWire, sizeLabelOf } from '../../src/core/hooks';
import { roundAll } from '../../src/core/units';
import { inputFault } from '../args';
import type { Command } from '../command';

export const hooksCommand: Command = {
  name: 'hooks',
  summary: 'read a taped hook: hooks read --shank LEN [--gape LEN]',
  flags: [
    { name: 'shank', takes: 'one', value: 'LEN', help: 'behind the eye to the start of the bend' },
    { name: 'gape', takes: 'one', value: 'LEN', help: 'point to shank' },
  ],
  words: ['read'],
  example: 'aubade hooks read --shank 7.6 --gape 5',
  shape: "{ shank_mm, reads, nearest, gape_mm, wire_mm, eye_mm, source: 'model', reads_gape? }",
  run(read, speech) {
    const verb = read.words[0] ?? '';
    if (verb !== 'read') {
      read.fault(inputFault('command', 'command-unknown', `hooks ${verb}`.trim(), { params: { nearest: 'hooks read' }, allowed: ['read'] }));
      return null;
    }
    read.needed('shank');
    const shank = read.length('shank', read.one('shank'));
    const gape = read.length('gape', read.one('gape'));
    if (read.faults.length > 0 || shank === null) return null;
    const reading = reads(shank);
    const json = {
      shank_mm: shank,
      reads: reading,
      nearest: sizeLabelOf(reading),
      gape_mm: gape ?? referenceGape(shank),
      wire_mm: referenceWire(shank),
      eye_mm: referenceEye(shank),
      source: 'model',
      ...(gape === null ? {} : { reads_gape: readsGape(gape) }),
    };
    const lines = [
      `reads ${reading.toFixed(1)} long${gape === null ? '' : `, ${readsGape(gape).toFixed(1)} wide`}; nearest label ${json.nearest}`,
      `about, by the reference scale: gape ${speech.length(json.gape_mm)}, wire ${speech.length(json.wire_mm, true)}, eye ${speech.length(json.eye_mm, true)}`,
    ];
    return { json: roundAll(json), text: lines.join('\n'), exit: 0 };
  },
};
