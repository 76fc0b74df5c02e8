import { cardFor, NO_CHOICES } from '../../src/core/answer';
import { catalogueFor } from '../catalogue';
import { cardText } from '../card-text';
import type { Command } from '../command';
import { choicesFrom, CHOICE_FLAGS, NATURAL_FLAGS, chosenFor, naturalFrom } from '../sample';
import { cardOut } from '../shapes';
import { inputFault } from '../args';
import { dressingPin, hookPin } from './match';

export const cardCommand: Command = {
  name: 'card',
  summary: 'a card to tie from, in exact millimetres',
  flags: [
    { name: 'dressing', takes: 'one', value: 'ID', help: 'the dressing' },
    { name: 'hook', takes: 'one', value: 'MAKER:MODEL:SIZE', help: 'the hook' },
    { name: 'count', takes: 'one', value: 'N', help: 'flies to tie' },
    ...NATURAL_FLAGS,
    ...CHOICE_FLAGS,
  ],
  words: [],
  example: 'aubade card --dressing first-light-dun --hook reference:standard-dry:14 --count 6',
  shape:
    '{ dressing, hook, fits, room_mm, used_mm, landmarks[], parts[], threads[], weights[], ribs[], hackles[], layers[], steps[], cautions[], batch }',
  run(read, speech) {
    read.needed('dressing');
    read.needed('hook');
    const noted = naturalFrom(read);
    if (noted === null && read.many('length').length > 0 && read.one('stage') === null)
      read.fault(inputFault('stage', 'flag-missing', null));
    const choices = choicesFrom(read, {});
    const catalogue = catalogueFor(read, choices.schools['x-label']);
    const hookId = hookPin(read, catalogue.hooks);
    const dressingId = dressingPin(read, read.one('dressing'));
    const count = read.number('count', [1, 1000], true);
    if (read.faults.length > 0 || hookId === null || dressingId === null) return null;
    const hook = catalogue.hooks.find((item) => item.id === hookId)!;
    const dressing = catalogue.dressings.find((item) => item.id === dressingId)!;
    const card = cardFor({
      dressing,
      hook,
      sample: noted?.sample ?? null,
      choices: {
        ...(noted ? chosenFor(noted, choices) : { ...NO_CHOICES, ...choices }),
        hookPin: hookId,
        dressingPin: dressingId,
      },
      catalogue,
      count,
    });
    return { json: cardOut(card, speech), text: () => cardText(card, speech), exit: 0 };
  },
};
