import { View } from 'react-native';
import type { StageId } from '@/catalogue/ids';
import { hasDemo, letPhotoGo, PHOTOS_MOST, photosWaiting, setSample, type SampleRecord } from '@/records';
import { useAct, useApp } from '@/state';
import { SamplePhotos } from '@/features/demo';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Say, Toggle } from '@/ui/primitives';
import { MeasurePanel } from './measure-panel';
import { MeasuredPhoto } from './measured-photo';
import { PhotoFault } from './photo-fault';
import { useKeepPhoto } from './use-keep-photo';

/** Keeping the insect for the bench: a mark on Now, and its photographs whole until they are measured. */
export function KeptPhotos({
  sampleId,
  sample,
  stage,
}: {
  sampleId: string;
  sample: SampleRecord;
  stage: StageId | null;
}) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { keep, put, wrong } = useKeepPhoto();
  const demo = useApp((state) => hasDemo(state.records.entities));
  const photos = useApp((state) => state.records.entities.photo);
  const count = useApp((state) => photosWaiting(state.records.entities).count);
  return (
    <View className="gap-3">
      <View className="flex-row flex-wrap gap-3">
        <Toggle
          tall
          label={words(sample.kept ? 'photo.kept' : 'photo.keep')}
          on={sample.kept}
          onChange={(kept) => act(setSample, { sampleId, kept })}
        />
        <Button tall label={words('photo.take')} onPress={() => void keep(sampleId)} />
        {demo ? <SamplePhotos onChoose={(picture) => void put(sampleId, picture)} /> : null}
      </View>
      {wrong ? <PhotoFault wrong={wrong} /> : null}
      {sample.photos.map((id, index) => (
        <View key={id} className="gap-2">
          {photos[id]?.overlay ? (
            <MeasuredPhoto photoId={id} sampleId={sampleId} overlay={photos[id].overlay} />
          ) : photos[id] ? (
            <MeasurePanel photoId={id} sampleId={sampleId} stage={stage} label={words('photo.of', { n: index + 1 })} />
          ) : null}
          <View className="flex-row items-center justify-between gap-3">
            <Say size="small" tone="soft" className="min-w-0 flex-1">
              {photos[id]?.overlay ? words('photo.measured') : words('photo.waits', { count, most: PHOTOS_MOST })}
            </Say>
            <Button
              kind="quiet"
              label={words('photo.let-go')}
              spoken={words('photo.let-go-what', { n: index + 1 })}
              onPress={() => act(letPhotoGo, { photoId: id, sampleId })}
            />
          </View>
          {photos[id] && photos[id].taken !== sample.when ? (
            <Button
              kind="quiet"
              className="-ml-4 max-w-full self-start"
              label={words('photo.own-time', { when: speech.day(photos[id].taken, true) })}
              onPress={() => act(setSample, { sampleId, when: photos[id]!.taken })}
            />
          ) : null}
        </View>
      ))}
    </View>
  );
}
