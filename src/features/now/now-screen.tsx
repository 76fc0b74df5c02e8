import { useState } from 'react';
import { View } from 'react-native';
import Svg from 'react-native-svg';
import { useStore } from 'react-redux';
import { backupDue, hasDemo, leaveDemo, PHOTOS_MOST, photosWaiting } from '@/records';
import { nowOf, selectRunningOuting, useAct, useApp, type Store } from '@/state';
import { FirstSteps } from './first-steps';
import { PhotoFault, useKeepPhoto } from '@/features/photo';
import { later, Page, useNewMatch, useValleyTime, useWide, useWords } from '@/features/shell';
import { Marks } from '@/ui/drawings/marks';
import { naturalMarks } from '@/ui/drawings/natural-marks';
import { Button, Door, Say } from '@/ui/primitives';

const WhatIsHere = later(async () => (await import('./screens')).WhatIsHere, 'part');
const RunningNow = later(async () => (await import('./screens')).RunningNow, 'part');
const BackupDue = later(async () => (await import('./screens')).BackupDue, 'part');

export function NowScreen() {
  const words = useWords();
  const wide = useWide();
  const time = useValleyTime();
  const demo = useApp((state) => hasDemo(state.records.entities));
  const act = useAct();
  const running = useApp(selectRunningOuting);
  const newMatch = useNewMatch();
  const { keep, wrong } = useKeepPhoto();
  const photos = useApp((state) => photosWaiting(state.records.entities).count);
  const { ports } = useStore() as unknown as Store;
  const due = useApp((state) => backupDue(state.records.entities, nowOf(state, ports)));
  // One that was written by itself meanwhile says so.
  const [wasDue] = useState(due !== null);
  const dun = naturalMarks('mayfly/dun', 10, {});
  const door = (
    <View className="px-5">
      <Door onPress={newMatch}>
        <View className="min-w-0 flex-1 gap-1">
          <Say size="title" weight="serif" tone="on-river">
            {words('now.natural')}
          </Say>
          <Say tone="on-river">{words('now.natural-hint')}</Say>
        </View>
        <View aria-hidden className="opacity-90">
          <Svg width={116} height={110} style={ON_RIVER}>
            <Marks
              marks={dun.marks.map((mark) => ({
                ...mark,
                fill:
                  mark.fill && mark.fill !== 'none' && !mark.fill.includes('ink')
                    ? 'var(--river)'
                    : mark.fill && 'var(--on-river)',
                stroke: mark.stroke && 'var(--on-river)',
              }))}
              scale={5.4}
              x={104}
              y={74}
            />
          </Svg>
        </View>
      </Door>
    </View>
  );
  const later = (
    <View className="gap-2 px-5 pt-3">
      <Button tall label={words('now.keep')} onPress={() => void keep(null)} />
      {photos > 0 ? (
        <Say size="small" tone="soft">
          {words('photo.waits', { count: photos, most: PHOTOS_MOST })}
        </Say>
      ) : null}
      {wrong ? <PhotoFault wrong={wrong} /> : null}
    </View>
  );
  const begin = demo ? (
    <View className="mx-5 mb-4 flex-row flex-wrap items-center justify-between gap-x-3 border-l-4 border-straw pl-3">
      <Say size="small" className="min-w-[55%] flex-1">
        {words('now.demo')}
      </Say>
      <Button kind="quiet" label={words('now.leave-demo')} onPress={() => act(leaveDemo, {})} />
    </View>
  ) : (
    <FirstSteps />
  );
  return (
    <Page column="list" title={words('place.now')} over={wide ? undefined : (time ?? undefined)}>
      {begin}
      {due === null && !wasDue ? null : <BackupDue />}
      {running === null ? null : <RunningNow id={running} />}
      {wide ? (
        <View className="flex-row">
          <View className="w-1/2">
            {door}
            {later}
          </View>
          <View className="w-1/2">
            <WhatIsHere />
          </View>
        </View>
      ) : (
        <>
          {door}
          {later}
          <WhatIsHere />
        </>
      )}
    </Page>
  );
}

const ON_RIVER = { overflow: 'visible' } as const;
