import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { checklistOf, judged, VIEWS, type ToMeasure } from '@/core/session';
import { inspectKey, noteLengths, noteLook, type BatchItem, type BatchRecord, type InspectHow } from '@/records';
import { useAct, useApp } from '@/state';
import { LengthField } from '@/features/length-field';
import { Missing, Page, useRedLamp, useSpeech, useWide, useWidth, useWords } from '@/features/shell';
import { flyMarks, Plate } from '@/ui/drawings';
import { Choose, Heading, Pick, Say } from '@/ui/primitives';
import { FlyPhoto, type PhotoLength } from './fly-photo';
import { flyName, partTitle } from './names';

/** A finished fly beside its card: every length against its range, and what is looked at from each side. */
export function InspectScreen({ id }: { id: string }) {
  const batch = useApp((state) => state.records.entities.batch[id]);
  const { fly } = useLocalSearchParams<{ fly?: string }>();
  if (!batch) return <Missing what="batch" list="/vise" />;
  const made = Object.entries(batch.flies).filter(([, { state }]) => state === 'made');
  const key = made.some(([own]) => own === fly) ? fly! : made.at(-1)?.[0];
  const item = batch.items.find((own) => own.id === (key === undefined ? '' : batch.flies[key]!.item));
  if (key === undefined || !item) return <NoneMade id={id} />;
  return <Inspect key={key} id={id} batch={batch} item={item} n={batch.flies[key]!.n} flyKey={key} />;
}

function NoneMade({ id }: { id: string }) {
  const words = useWords();
  return (
    <Page
      back={{ href: { pathname: '/vise/[id]', params: { id } }, label: words('vise.session') }}
      title={words('vise.inspect')}
    >
      <Say className="px-5">{words('vise.none-made')}</Say>
    </Page>
  );
}

function Inspect({
  id,
  batch,
  item,
  n,
  flyKey,
}: {
  id: string;
  batch: BatchRecord;
  item: BatchItem;
  n: number;
  flyKey: string;
}) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const red = useRedLamp();
  const wide = useWide();
  const [width, box] = useWidth();
  const { card } = item;
  const list = useMemo(() => checklistOf(card), [card]);
  const made = Object.entries(batch.flies).filter(([, { state }]) => state === 'made');
  const measured = list.measures.flatMap((measure) => {
    const known = batch.measured[inspectKey(item.id, n, measure.part)];
    return known ? [judged(measure, known.mm)] : [];
  });
  const out = measured.filter(({ is }) => is !== 'good').length;
  const bad = list.looks.filter(({ step }) => batch.looked[inspectKey(item.id, n, step)] === false).length;
  const [how, setHow] = useState<InspectHow>('calliper');
  const note = useNote({ id, item, n });
  const take = (lengths: readonly PhotoLength[]) => void note(lengths, 'photo');
  const plate = (
    <View {...box}>
      {width > 0 ? (
        <Plate
          label={words('vise.as-card', { fly: card.dressing.name })}
          width={width}
          natural={null}
          measuredMm={null}
          fly={flyMarks(card, { plain: red })}
          partName={(kind) => speech.plain('parts', kind)}
          digits={(mm) => speech.digits(mm)}
          maxHeight={wide ? 420 : 230}
        />
      ) : null}
    </View>
  );
  const measures = (
    <View>
      <View className="px-5 pb-2">
        <Heading>{words('vise.lengths')}</Heading>
        <Choose
          label={words('vise.how')}
          choices={(['calliper', 'photo', 'eye'] as const).map((own) => ({
            id: own,
            label: words(`vise.hows.${own}`),
          }))}
          value={how}
          onChange={setHow}
        />
      </View>
      {how === 'photo' ? <FlyPhoto card={card} onTake={take} /> : null}
      <View className="border-t border-line">
        {list.measures.map((measure) => (
          <MeasureRow key={measure.part} {...{ id, batch, item, n, measure, how }} />
        ))}
      </View>
    </View>
  );
  const looks = (
    <View className="pt-5">
      {VIEWS.map((view) => {
        const own = list.looks.filter((look) => look.view === view);
        return own.length === 0 ? null : (
          <View key={view} className="pb-4">
            <Heading className="px-5 pb-1">{words(`vise.views.${view}`)}</Heading>
            <View className="border-t border-line">
              {own.map(({ step }) => (
                <LookRow key={step} {...{ id, batch, item, n, step }} />
              ))}
            </View>
          </View>
        );
      })}
    </View>
  );
  return (
    <Page
      column="list"
      back={{ href: { pathname: '/vise/[id]', params: { id } }, label: words('vise.session') }}
      title={words('vise.inspect-of', { fly: flyName(batch, item.id, n, speech) })}
      lead={
        measured.length === 0
          ? words('vise.inspect-lead')
          : speech.beside([
              words('vise.measured-of', { count: measured.length, of: list.measures.length }),
              out + bad === 0 ? words('vise.all-in') : words('vise.out-n', { count: out + bad }),
            ])
      }
    >
      {made.length > 1 ? (
        <View className="flex-row px-5 pb-4">
          <Pick
            label={words('vise.which-fly')}
            choices={made.map(([own, fly]) => ({ id: own, label: flyName(batch, fly.item, fly.n, speech) }))}
            value={flyKey}
            onChange={(own) => router.setParams({ fly: own! })}
          />
        </View>
      ) : null}
      {wide ? (
        <View className="flex-row gap-6">
          <View className="min-w-0 flex-1">
            {plate}
            {looks}
          </View>
          <View className="min-w-0 flex-1">{measures}</View>
        </View>
      ) : (
        <>
          {plate}
          {measures}
          {looks}
        </>
      )}
    </Page>
  );
}

interface OfFly {
  id: string;
  batch: BatchRecord;
  item: BatchItem;
  n: number;
}

/** Notes lengths of a fly in one step, or takes one back. */
function useNote({ id, item, n }: Omit<OfFly, 'batch'>) {
  const act = useAct();
  return (lengths: readonly (Omit<PhotoLength, 'mm'> & { mm: number | null })[], how: InspectHow) =>
    act(noteLengths, {
      batchId: id,
      item: item.id,
      n,
      how,
      lengths: lengths.map(({ measure: { part, kind, targetMm }, mm }) => ({ part, kind, targetMm, mm })),
    });
}

/** One length: what the card says, what the fly has, and where it is out why that is and what mends it. */
function MeasureRow({ id, batch, item, n, measure, how }: OfFly & { measure: ToMeasure; how: InspectHow }) {
  const words = useWords();
  const speech = useSpeech();
  const known = batch.measured[inspectKey(item.id, n, measure.part)];
  const is = known ? judged(measure, known.mm) : null;
  const name = partTitle(item.card, measure.part, speech);
  const noteIt = useNote({ id, item, n });
  const note = (mm: number | null, by: InspectHow) => noteIt([{ measure, mm }], by);
  const [low, high] = measure.rangeMm;
  return (
    <View className="gap-2 border-b border-line px-5 py-3">
      <View className="flex-row flex-wrap items-start justify-between gap-x-4 gap-y-2">
        <View className="min-w-[45%] flex-1">
          <Say weight="medium">{name}</Say>
          <Say size="small" tone="soft">
            {speech.beside([
              words('vise.wanted', {
                mm: speech.length(measure.targetMm),
                low: speech.digits(low),
                high: speech.digits(high),
              }),
              words(`vise.taken.${measure.taken}`),
            ])}
          </Say>
        </View>
        {how !== 'eye' ? (
          <View className="w-36 flex-row">
            <LengthField
              hideLabel
              label={words('vise.length-of', { part: name })}
              mm={known && known.how !== 'eye' ? known.mm : null}
              onChange={(mm) => note(mm, 'calliper')}
            />
          </View>
        ) : (
          <Choose
            label={words('vise.by-eye-of', { part: name })}
            choices={(['short', 'good', 'long'] as const).map((own) => ({ id: own, label: words(`vise.eye.${own}`) }))}
            value={is && known?.how === 'eye' ? is.is : null}
            onChange={(own) =>
              // By eye a part is good, or as far out as its range ends: no more is known.
              note(
                own === 'good'
                  ? measure.targetMm
                  : own === 'long'
                    ? high + measure.targetMm * BEYOND
                    : low - measure.targetMm * BEYOND,
                'eye',
              )
            }
          />
        )}
      </View>
      {is && is.is !== 'good' ? (
        <View>
          <Say size="small" tone="dawn" weight="medium">
            {words(`vise.is.${is.is}`, {
              percent: Math.round(Math.abs(100 * is.off)),
              mm: speech.length(Math.abs((known?.mm ?? 0) - measure.targetMm)),
            })}
          </Say>
          <Say size="small">{words(`vise.cause.${measure.causes[is.is]}`)}</Say>
          <Say size="small" tone="soft">
            {words(`vise.cause-mend.${measure.causes[is.is]}`)}
          </Say>
        </View>
      ) : is ? (
        <Say size="small" tone="sedge">
          {words('vise.is.good')}
        </Say>
      ) : null}
    </View>
  );
}

/** A part that is told long or short by eye is taken to be so much beyond its range. */
const BEYOND = 0.02;

/** One thing to look at: as it should be or not, and what mends it. */
function LookRow({ id, batch, item, n, step: at }: OfFly & { step: number }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const step = item.card.steps.find((own) => own.n === at)!;
  const good = batch.looked[inspectKey(item.id, n, at)];
  const check = speech.stepCheck(step) ?? '';
  return (
    <View className="gap-2 border-b border-line px-5 py-3">
      <View className="flex-row flex-wrap items-center justify-between gap-x-4 gap-y-2">
        <View className="min-w-[45%] flex-1">
          {step.kind ? (
            <Say size="small" tone="soft">
              {speech.name('parts', step.kind)}
            </Say>
          ) : null}
          <Say>{check}</Say>
        </View>
        <Choose
          label={check}
          choices={[
            { id: 'yes', label: words('vise.look.yes') },
            { id: 'no', label: words('vise.look.no') },
          ]}
          value={good === undefined ? null : good ? 'yes' : 'no'}
          onChange={(own) => act(noteLook, { batchId: id, item: item.id, n, step: at, good: own === 'yes' })}
        />
      </View>
      {good === false ? (
        <Say size="small" tone="soft">
          {speech.clauses(speech.stepMends(step))}
        </Say>
      ) : null}
    </View>
  );
}
