import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { RideId } from '@/catalogue/ids';
import { colourWord, labOfHex, shadeOf } from '@/core/colour';
import { everyHeld, underbodies } from '@/core/materials';
import { seenAs, stripIn, stripOf, type Card, type StripRow } from '@/core/tying';
import type { SampleRecord } from '@/records';
import { useApp } from '@/state';
import { selectCatalogue, selectHeld, selectNamed } from '@/state/answering';
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
              <StripLine
                key={row.part}
                row={row}
                state={state}
                under={card.layers.find(({ part }) => part === row.part)?.from_under ?? []}
              />
            ))}
          </View>
        </>
      )}
    </View>
  );
}

function StripLine({
  row,
  state,
  under,
}: {
  row: StripRow;
  state: 'dry' | 'wet';
  /** What lies over one another, from the underbody up. */
  under: Card['layers'][number]['from_under'];
}) {
  const words = useWords();
  const speech = useSpeech();
  const { materials } = useApp(selectCatalogue);
  const { natural, made, apart } = stripIn(row, state);
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
              part: speech.name('parts', row.kind),
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
      <Beneath row={row} state={state} under={under} />
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

/** Lets so much light through that what lies beneath is seen. */
const THIN = 0.2;
/** So much nearer (CIEDE2000) is worth another thread. */
const WORTH = 1.5;

/** The thread that would bring a thin skin nearest to the natural, where another than the one beneath does so: of what is had, else of all. */
function Beneath({
  row,
  state,
  under,
}: {
  row: StripRow;
  state: 'dry' | 'wet';
  under: Card['layers'][number]['from_under'];
}) {
  const words = useWords();
  const speech = useSpeech();
  const { materials } = useApp(selectCatalogue);
  const held = useApp(selectHeld);
  const named = useApp(selectNamed);
  const { natural: target, apart } = stripIn(row, state);
  const skin = materials.find(({ id }) => id === under.at(-1)?.material);
  const best = useMemo(() => {
    if (!skin || under.length < 2 || skin.transmittance < THIN) return null;
    const asked = { target: labOfHex(target), wet: state === 'wet' };
    return underbodies(skin, held ?? everyHeld(named), asked)[0] ?? null;
  }, [skin, under.length, target, state, held, named]);
  // What is off even so is no advice.
  if (!best || best.deltaE > apart - WORTH || colourWord(best.deltaE) === 'off') return null;
  const seen = state === 'wet' ? best.wet : best.dry;
  return (
    <Say size="small">
      {words('swatches.beneath', {
        thread: best.name,
        reads: speech.shade(shadeOf(labOfHex(seen))),
        state: speech.plain('surfaces', state),
        word: speech.plain('colour-words', colourWord(best.deltaE)),
      })}
    </Say>
  );
}
