import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { RideId } from '@/catalogue/ids';
import { colourWord, labOfHex, shadeOf } from '@/core/colour';
import { doesIn, refusedIn, type Dressing } from '@/core/dressings';
import { calledHeld, everyHeld, underbodies, type Held, type Material } from '@/core/materials';
import {
  effectsOf,
  seenAs,
  stripIn,
  stripOf,
  threadOnCard,
  threadsThatServe,
  type Card,
  type Effect,
  type StripRow,
} from '@/core/tying';
import { swapMaterial, type AnswerRecord, type SampleRecord } from '@/records';
import { useAct, useApp } from '@/state';
import { selectCatalogue, selectDressing, selectHeld, selectNamed } from '@/state/answering';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Heading, Say, WordLink } from '@/ui/primitives';
import { Swatch } from '@/ui/drawings';
import { useCalled } from './use-called';

const WIDTH = 64;

interface SwatchStripProps {
  matchId: string;
  record: AnswerRecord;
  card: Card;
  sample: SampleRecord;
  ride: RideId;
  /** Under a heading that stands already, within the sides of what holds it. */
  bare?: boolean;
}

/** Each region of the natural beside the material made for it, dry above and wet below, in words first; judged as the fish sees it. */
export function SwatchStrip({ matchId, record, card, sample, ride, bare = false }: SwatchStripProps) {
  const words = useWords();
  const red = useRedLamp();
  const [state, setState] = useState<'dry' | 'wet'>(sample.surface === 'wet' ? 'wet' : seenAs(ride));
  const dressing = useApp((app) => selectDressing(app, card.dressing.id));
  const rows = stripOf(card, sample.colours, sample.surface);
  if (rows.length === 0 || !dressing) return null;
  return (
    <View className={`gap-2 ${bare ? '' : 'px-5'}`}>
      {bare ? null : (
        <Heading size="small" level={3}>
          {words('swatches.title')}
        </Heading>
      )}
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
                matchId={matchId}
                record={record}
                card={card}
                dressing={dressing}
                row={row}
                state={state}
              />
            ))}
          </View>
        </>
      )}
    </View>
  );
}

interface LineProps {
  matchId: string;
  record: AnswerRecord;
  card: Card;
  dressing: Dressing;
  row: StripRow;
  state: 'dry' | 'wet';
}

function StripLine(props: LineProps) {
  const { card, dressing, row, state } = props;
  const words = useWords();
  const speech = useSpeech();
  const called = useCalled();
  const { natural, made, apart } = stripIn(row, state);
  const shape = called(row.material?.id ?? '')?.drawn ?? 'lock';
  const word = (hex: string) => speech.shade(shadeOf(labOfHex(hex)));
  const target = natural.slice(1);
  const told: readonly Effect['effect'][] = state === 'wet' ? ['tinted', 'matted', 'air'] : ['tinted'];
  const effects = effectsOf(card, row.part, dressing, called).filter(({ effect }) => told.includes(effect));
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
      {effects.map(({ effect, hex, by }) => (
        <Say key={effect} size="small" tone="soft">
          {words(`swatches.effect.${effect}`, { by: by?.name ?? '', reads: word(hex) })}
        </Say>
      ))}
      <Beneath {...props} />
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

/** Threads that may take the place of one however they show: they hold, have room at the head and build no lump. */
const layable = (
  dressing: Dressing,
  thread: Dressing['threads'][number],
  card: Card,
  held: readonly Held[],
  materials: readonly Material[],
) =>
  threadsThatServe(dressing, thread, threadOnCard(card), held, materials)
    .filter(
      ({ serves, head, reasons }) =>
        serves !== 'no' &&
        (head === null || head.turns <= head.budget) &&
        !reasons.some(({ code }) => code === 'thread-bulkier'),
    )
    .map(({ id }) => id);

/** The thread that would bring a thin skin nearest to the natural, where another than the one beneath does so: of what is had, else of all. One tap lays it under. */
function Beneath({ matchId, record, card, dressing, row, state }: LineProps) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const called = useCalled();
  const { materials } = useApp(selectCatalogue);
  const held = useApp(selectHeld);
  const named = useApp(selectNamed);
  const { natural: target, apart } = stripIn(row, state);
  const stack = card.layers.find(({ part }) => part === row.part)?.from_under;
  const [best, written] = useMemo(() => {
    const skins = (stack ?? []).slice(1).flatMap(({ material }) => called(material) ?? []);
    const under = stack?.[0]?.material;
    const own = called(card.materials.find(({ used }) => used === under)?.asked ?? '');
    if (!own || skins.length === 0 || skins.some(({ transmittance }) => transmittance < THIN)) return [null, null];
    const all = held ?? everyHeld(named);
    const thread = dressing.threads.find(({ material }) => material === own.id);
    const does = doesIn(dressing, own);
    const serving = thread && new Set(layable(dressing, thread, card, all, materials));
    const fits = all.filter((one) =>
      serving
        ? serving.has(calledHeld(one).id)
        : does.every((id) => one.material.functions.includes(id)) && refusedIn(dressing, own, one.material) === null,
    );
    return [underbodies(skins, fits, { target: labOfHex(target), wet: state === 'wet' })[0] ?? null, own];
  }, [called, card, dressing, held, materials, named, stack, state, target]);
  // What is off even so is no advice.
  if (!best || !written || best.deltaE > apart - WORTH || colourWord(best.deltaE) === 'off') return null;
  const seen = state === 'wet' ? best.wet : best.dry;
  const head = dressing.parts.some(({ part, material }) => part === 'head' && material === written.id);
  return (
    <View className="items-start gap-1">
      <Say size="small">
        {words('swatches.beneath', {
          thread: best.name,
          reads: speech.shade(shadeOf(labOfHex(seen))),
          state: speech.plain('surfaces', state),
          word: speech.plain('colour-words', colourWord(best.deltaE)),
        })}
      </Say>
      {head ? (
        <Say size="small" tone="soft">
          {words('swatches.beneath-head')}
        </Say>
      ) : null}
      <Button
        label={words('swatches.lay')}
        spoken={words('swatches.lay-what', { thread: best.name })}
        onPress={() =>
          act(swapMaterial, {
            matchId,
            answerId: record.id,
            dressing: dressing.id,
            material: written.id,
            by: best.id,
          })
        }
      />
    </View>
  );
}
