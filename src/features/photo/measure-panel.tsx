import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { hexOfLab } from '@/core/colour';
import type { RegionId } from '@/catalogue/ids';
import { change, DEVICE_ID, deviceSchema, readPicture, remember, selectDevice, specimen, storePicture, useApp, useAppDispatch, type Overlay, type Store } from '@/state';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Button, Chips, Digits, Say } from '@/ui/primitives';
import { run, type PhotoAnswer } from '@/workers';
import { MeasuredCrop } from './measured-crop';

type Work = { at: 'rest' } | { at: 'work'; done: number } | { at: 'answered'; answer: PhotoAnswer } | { at: 'failed' };

const VIEWS = ['belly', 'back', 'side'] as const;
const SURFACES = ['dry', 'wet'] as const;
const Z95 = 1.96;

async function blobOf(dataUrl: string): Promise<Blob> {
  const [head, body] = dataUrl.split(',') as [string, string];
  const bytes = Uint8Array.from(atob(body), (letter) => letter.charCodeAt(0));
  return new Blob([bytes], { type: /data:([^;]+)/.exec(head)?.[1] ?? 'image/jpeg' });
}

function overlayOf({ measure, crop }: PhotoAnswer): Overlay | null {
  return crop ? { leftMm: crop.leftMm, topMm: crop.topMm, widthMm: crop.widthMm, heightMm: crop.heightMm, insects: measure.insects.map((insect) => ({ n: insect.n, bodyMm: insect.bodyMm, midlineMm: insect.midlineMm.map(([x, y]): [number, number] => [x, y]) })) } : null;
}

/** A kept photograph is measured here: shown with what was found, and taken into the sample by a tap. */
export function MeasurePanel({ photoId, sampleId }: { photoId: string; sampleId: string }) {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  const dispatch = useAppDispatch();
  const { ports } = useStore() as unknown as Store;
  const { view, printedScale } = useApp(selectDevice);
  const surface = useApp((state) => state.records.entities.sample[sampleId]?.surface ?? 'dry');
  const [work, setWork] = useState<Work>({ at: 'rest' });
  const stopping = useRef<AbortController | null>(null);
  useEffect(() => () => stopping.current?.abort(), []);
  const measure = async () => {
    const stop = new AbortController();
    stopping.current = stop;
    setWork({ at: 'work', done: 0 });
    try {
      const picture = await readPicture(ports, photoId);
      if (picture === null) return setWork({ at: 'failed' });
      const answer = await run('photo', { file: await blobOf(picture), asked: { view, surface, printedScale } }, { signal: stop.signal, onProgress: (done) => setWork({ at: 'work', done }) });
      setWork({ at: 'answered', answer });
    } catch (error) {
      setWork((error as Error).name === 'AbortError' ? { at: 'rest' } : { at: 'failed' });
    }
  };
  const take = async (answer: PhotoAnswer) => {
    const overlay = overlayOf(answer)!;
    await storePicture(ports, photoId, answer.crop!.url);
    dispatch(change('measured', (draft) => {
      const sample = draft.sample[sampleId]!;
      sample.method = 'photo';
      sample.kept = false;
      for (const insect of answer.measure.insects) sample.specimens.push({ ...specimen(ports.newId('specimen'), Math.round(insect.bodyMm * 100) / 100), halfMm: Z95 * insect.sdMm });
      const first = answer.measure.insects[0]!;
      for (const [region, colour] of Object.entries(first.regions)) sample.colours[region as RegionId] = hexOfLab(colour.lab);
      Object.assign(draft.photo[photoId]!, { overlay, type: 'image/jpeg', bytes: answer.crop!.url.length });
    }));
  };
  const asked = (
    <View className="gap-2">
      <Chips compact label={words('photo.view')} choices={VIEWS.map((id) => ({ id, label: speech.name('views', id) }))} value={view} onChange={(next) => dispatch(remember((draft) => void (draft.device[DEVICE_ID] = { ...deviceSchema.cast({}), ...draft.device[DEVICE_ID], view: next })))} />
      <Chips compact label={words('natural.surface')} choices={SURFACES.map((id) => ({ id, label: speech.name('surfaces', id) }))} value={surface} onChange={(next) => dispatch(change('surface', (draft) => void (draft.sample[sampleId]!.surface = next)))} />
    </View>
  );
  if (work.at === 'rest') {
    return (
      <View className="gap-3">
        {asked}
        <Button kind="main" tall label={words('photo.measure')} onPress={() => void measure()} className="self-start" />
      </View>
    );
  }
  if (work.at === 'work') {
    return (
      <View className="gap-2">
        <View role="progressbar" aria-label={words('photo.measuring')} aria-valuenow={Math.round(work.done * 100)} className="h-2 bg-line">
          <View style={{ width: `${Math.round(work.done * 100)}%` }} className="h-2 bg-river" />
        </View>
        <Button tall label={words('photo.stop')} onPress={() => stopping.current?.abort()} className="self-start" />
      </View>
    );
  }
  if (work.at === 'failed' || !work.answer.crop || work.answer.measure.refused) {
    const code = work.at === 'answered' ? work.answer.measure.refused?.code : undefined;
    return (
      <View className="gap-2 border-l-4 border-straw pl-3">
        <Say live weight="medium">
          {code ? speech.say({ code, params: {} }, 'fault') : words('photo.failed')}
        </Say>
        <Say size="small">{code ? speech.t(`photo-do.${code}`) : words('photo.failed-do')}</Say>
        <Say size="small" tone="soft">
          {words('photo.by-hand')}
        </Say>
        <Button tall label={words('photo.again')} onPress={() => void measure()} className="self-start" />
      </View>
    );
  }
  const { answer } = work;
  const regions = Object.entries(answer.measure.insects[0]!.regions);
  return (
    <View aria-live="polite" className="gap-3">
      <MeasuredCrop url={answer.crop!.url} overlay={overlayOf(answer)!} />
      {answer.measure.insects.map((insect) => (
        <View key={insect.n} className="flex-row flex-wrap items-baseline gap-x-3">
          <Say size="small" tone="soft">
            {String(insect.n)}
          </Say>
          <View className="flex-row items-baseline gap-1">
            <Digits size="title" strong>{speech.length(insect.bodyMm, true).split(' ')[0]!}</Digits>
            <Digits tone="soft">{`±${speech.length(Z95 * insect.sdMm, true).split(' ')[0]!}`}</Digits>
            <Say size="small" tone="soft">
              {speech.t(speech.unit === 'mm' ? 'unit.mm' : 'unit.in')}
            </Say>
          </View>
          <Say size="small" tone="soft">
            {words('photo.wide', { width: speech.length(insect.widthMm), overall: speech.length(insect.overallMm) })}
          </Say>
        </View>
      ))}
      {red ? <Say size="small" tone="straw">{words('plate.red')}</Say> : (
        <View className="flex-row flex-wrap gap-x-4 gap-y-2">
          {regions.map(([region, colour]) => (
            <View key={region} className="flex-row items-center gap-2">
              <View aria-hidden style={{ backgroundColor: hexOfLab(colour.lab) }} className="h-6 w-10 rounded-control border border-edge" />
              <Say size="small">{speech.plain('regions', region)}</Say>
            </View>
          ))}
        </View>
      )}
      <View className="flex-row flex-wrap gap-3">
        <Button kind="main" tall label={words('photo.take-length', { count: answer.measure.insects.length, mm: speech.length(answer.measure.insects[0]!.bodyMm) })} onPress={() => void take(answer)} />
        <Button tall label={words('photo.not-this')} onPress={() => setWork({ at: 'rest' })} />
      </View>
    </View>
  );
}
