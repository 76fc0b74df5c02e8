import { colourWord } from '@/core/colour';
import type { Answer } from '@/core/answer';
import { seenAs, stripIn, stripOf } from '@/core/tying';
import type { AnswerRecord, SampleRecord } from '@/records';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Fold } from '@/ui/primitives';
import { MaterialsInUse } from './materials-in-use';
import { SwatchStrip } from './swatch-strip';

/** On a card, each a line until it is opened: the colours beside the natural's, and what it is tied in. */
export function CardColours({
  matchId,
  record,
  sample,
  answer,
}: {
  matchId: string;
  record: AnswerRecord;
  sample: SampleRecord;
  answer: Answer;
}) {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  const { card } = answer;
  if (!card) return null;
  const state = sample.surface === 'wet' ? 'wet' : seenAs(answer.style.ride);
  const rows = red ? [] : stripOf(card, sample.colours, sample.surface);
  const of = { matchId, record, card };
  const swapped = card.materials.filter(({ as, used, asked }) => as === 'short' || used !== asked);
  return (
    <>
      {Object.keys(sample.colours).length > 0 ? (
        <Fold
          wide
          title={words('swatches.title')}
          line={
            red
              ? words('plate.red')
              : speech.list(
                  rows.map((row) =>
                    words('swatches.says', {
                      part: speech.plain('parts', row.kind),
                      word: speech.plain('colour-words', colourWord(stripIn(row, state).apart)),
                    }),
                  ),
                )
          }
        >
          <SwatchStrip {...of} sample={sample} ride={answer.style.ride} bare />
        </Fold>
      ) : null}
      <Fold
        wide
        title={words('in-use.title')}
        line={speech.beside([
          words('in-use.count', { count: card.materials.length }),
          swapped.length > 0 && words('in-use.other', { count: swapped.length }),
          card.ready !== 'unknown' && speech.plain('readiness', card.ready),
        ])}
      >
        <MaterialsInUse {...of} natural={answer.natural} bare />
      </Fold>
    </>
  );
}
