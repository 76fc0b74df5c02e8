import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { letPicturesGo, photosToThin } from '@/records';
import { nowOf, useAct, useApp, type Store } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';

interface Use {
  usage: number;
  quota: number;
  kept: boolean;
}

/** From so much of the room on it is said. */
const NEARLY_FULL = 0.8;

/** Room kept while the browser is asked, px: what stands below does not move when it answers. */
const ASKING_PX = 164;

/** What this browser has stored and may store for the app; null where it does not say, undefined while it is asked. */
function useStorageUse(changed: unknown): [Use | null | undefined, () => void] {
  const [use, setUse] = useState<Use | null | undefined>();
  const [asked, setAsked] = useState(0);
  useEffect(() => {
    let here = true;
    const { storage } = navigator as Partial<Navigator>;
    void Promise.all([storage?.estimate?.() ?? ({} as StorageEstimate), storage?.persisted?.() ?? false]).then(
      ([{ usage = 0, quota = 0 }, kept]) => here && setUse(quota > 0 ? { usage, quota, kept } : null),
      () => here && setUse(null),
    );
    return () => void (here = false);
  }, [changed, asked]);
  return [use, () => setAsked(asked + 1)];
}

/** How much is stored, how near the limit that is, whether the browser may clear it by itself, and what could go to make room. */
export function StorageMeter() {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { getState, ports } = useStore() as unknown as Store;
  const photo = useApp((state) => state.records.entities.photo);
  const [use, again] = useStorageUse(photo);
  const pictures = Object.values(photo).reduce((sum, { bytes }) => sum + bytes, 0);
  const old = photosToThin({ photo }, nowOf(getState(), ports));
  return (
    <View className="gap-2" style={use === undefined ? { minHeight: ASKING_PX } : null}>
      {use ? (
        <>
          <View
            role="meter"
            aria-label={words('backup.meter')}
            aria-valuemin={0}
            aria-valuemax={100}
            aria-valuenow={Math.round((100 * use.usage) / use.quota)}
            aria-valuetext={words('backup.used', { used: speech.bytes(use.usage), quota: speech.bytes(use.quota) })}
            className="h-3 overflow-hidden rounded-control border border-edge bg-plane"
          >
            <View
              className={`h-3 ${use.usage / use.quota > NEARLY_FULL ? 'bg-dawn' : 'bg-river'}`}
              style={{ width: `${Math.max(1, (100 * use.usage) / use.quota)}%` }}
            />
          </View>
          <Say size="small">
            {speech.sentences([
              words('backup.used', { used: speech.bytes(use.usage), quota: speech.bytes(use.quota) }),
              pictures > 0 && words('backup.of-it-pictures', { size: speech.bytes(pictures) }),
            ])}
          </Say>
          {use.usage / use.quota > NEARLY_FULL ? (
            <Say size="small" tone="dawn" weight="medium">
              {words('backup.nearly-full')}
            </Say>
          ) : null}
          {use.kept ? (
            <Say size="small" tone="soft">
              {words('backup.persisted')}
            </Say>
          ) : (
            <View className="gap-2">
              <Say size="small" tone="soft">
                {words('backup.may-clear')}
              </Say>
              <Button
                label={words('backup.ask-keep')}
                onPress={() => void navigator.storage.persist().then(again)}
                className="self-start"
              />
            </View>
          )}
        </>
      ) : use === null ? (
        <Say size="small" tone="soft">
          {words('backup.no-meter')}
        </Say>
      ) : null}
      {old.ids.length > 0 ? (
        <View className="gap-2">
          <Say size="small">{words('backup.thin', { count: old.ids.length, size: speech.bytes(old.bytes) })}</Say>
          <Button
            label={words('backup.thin-do', { count: old.ids.length })}
            onPress={() => act(letPicturesGo, { photoIds: old.ids })}
            className="self-start"
          />
        </View>
      ) : null}
    </View>
  );
}
