import { useState } from 'react';
import { View } from 'react-native';
import type { RideId } from '@/catalogue/ids';
import { colourWord, labOfHex, shadeOf } from '@/core/colour';
import { seenAs, stripOf, type Card, type StripRow } from '@/core/tying';
import type { SampleRecord } from '@/records';
import { useApp } from '@/state';
import { selectCatalogue } from '@/state/answering';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Choose, Heading, Say, WordLink } from '@/ui/primitives';
import { Swatch } from '@/ui/drawings';

const WIDTH = 64;

/** Each region of the natural beside the material made for it, dry above and wet below, in words first; judged as the fish sees it. */
export function SwatchStrip({ card, sample, ride }: { card: Card; sample: SampleRecord; ride: RideId }) {
  const words = useWords();
  const red = useRedLamp();
  const [state, setState] = useState<'dry' | 'wet'>(sample.surface === 'wet' ? 'wet' : seenAs(ride));
  const rows = stripOf(card, sample.colours, sample.surface);
  if (rows.length === 0) return null;
  return (
    <View className="gap-2 px-5">
      <Heading size="small" level={3}>
        {words('swatches.title')}
      </Heading>
      {red ? (
        <Say size="small" tone="straw">
          {words('plate.red')}
        </Say>
      ) : (
        <>
          <Choose
            label={words('swatches.state')}
            choices={[
              { id: 'dry', label: words('blend.dry') },
              { id: 'wet', label: words('blend.wet') },
            ]}
            value={state}
            onChange={setState}
          />
          <Say size="small" tone="soft">
            {words(state === seenAs(ride) ? `swatches.why.${state}` : 'swatches.own-state')}
          </Say>
          <View role="list" aria-label={words('swatches.title')} className="border-t border-line">
            {rows.map((row) => (
              <StripLine key={row.part} row={row} state={state} />
            ))}
          </View>
        </>
      )}
    </View>
  );
}

function StripLine({ row, state }: { row: StripRow; state: 'dry' | 'wet' }) {
  const words = useWords();
  const speech = useSpeech();
  const { materials } = useApp(selectCatalogue);
  const apart = row.apart[state] ?? row.apart.wet;
  const made = state === 'dry' ? row.made.dry : row.made.wet;
  const natural = (state === 'dry' ? row.natural.dry : null) ?? row.natural.wet;
  const shape = materials.find(({ id }) => id === row.material?.id)?.drawn ?? 'lock';
  const word = (hex: string) => speech.shade(shadeOf(labOfHex(hex)));
  const target = natural.slice(1);
  return (
    <View role="listitem" className="gap-1 border-b border-line py-3">
      <View className="flex-row items-center gap-3">
        <Swatch shape="strip" dry={row.natural.dry ?? row.natural.wet} wet={row.natural.wet} width={WIDTH} />
        <Swatch shape={shape} dry={row.made.dry} wet={row.made.wet} width={WIDTH} />
        <View className="min-w-0 flex-1">
          <Say weight="medium">
            {words('swatches.says', {
              part: speech.plain('parts', row.kind),
              word: speech.plain('colour-words', colourWord(apart)),
            })}
          </Say>
          <Say size="small" tone="soft">
            {words('swatches.colours', {
              natural: word(natural),
              made: word(made),
              apart: Math.round(apart),
            })}
          </Say>
        </View>
      </View>
      <View className="flex-row flex-wrap items-center justify-between gap-x-3">
        <Say size="small" tone="soft" className="min-w-0 flex-1">
          {row.material?.name ?? ''}
        </Say>
        {shape === 'lock' && apart > 2 ? (
          <WordLink
            small
            to={{ pathname: '/drawer/blend', params: { hex: target, wet: state === 'wet' ? 'yes' : 'no' } }}
          >
            {words('swatches.blend', { part: speech.plain('parts', row.kind) })}
          </WordLink>
        ) : null}
      </View>
    </View>
  );
}
