import { Link } from 'expo-router';
import { Pressable, View } from 'react-native';
import Svg from 'react-native-svg';
import { hasDemo, isLow, leaveDemo, PHOTOS_MOST, photosWaiting } from '@/records';
import { useAct, useApp } from '@/state';
import { FirstSteps } from './first-steps';
import { PhotoFault, useKeepPhoto } from '@/features/photo';
import { MatchList, selectMatchIds, selectWaiting } from '@/features/matches';
import { Page, useNewMatch, useValleyTime, useWide, useWords } from '@/features/shell';
import { Marks, naturalMarks } from '@/ui/drawings';
import { Button, Heading, Say } from '@/ui/primitives';

const RECENT = 6;
/** Of those that wait so many stand here: the latest, and how many more. */
const WAITING = 6;

export function NowScreen() {
  const words = useWords();
  const wide = useWide();
  const time = useValleyTime();
  const ids = useApp(selectMatchIds);
  const waiting = useApp(selectWaiting);
  const demo = useApp((state) => hasDemo(state.records.entities));
  const act = useAct();
  const newMatch = useNewMatch();
  const { keep, wrong } = useKeepPhoto();
  const photos = useApp((state) => photosWaiting(state.records.entities).count);
  const low = useApp((state) => Object.values(state.records.entities.packet).filter(isLow).length);
  const open = new Set(waiting);
  const recent = ids.filter((id) => !open.has(id)).slice(0, RECENT);
  const dun = naturalMarks('mayfly/dun', 10, {});
  const door = (
    <View className="px-5">
      <Pressable
        role="button"
        onPress={newMatch}
        className="min-h-40 flex-row items-center justify-between overflow-hidden rounded-control bg-river px-5 py-6"
      >
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
      </Pressable>
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
  const waits =
    waiting.length > 0 || low > 0 ? (
      <View className="pt-8">
        <Heading className="px-5 pb-2">{words('now.waiting')}</Heading>
        {waiting.length > 0 ? <MatchList ids={waiting.slice(0, WAITING)} narrow /> : null}
        {waiting.length > WAITING ? (
          <Link href="/matches" className="min-h-target border-b border-line px-5 py-3">
            <Say weight="medium" tone="river">
              {words('now.more-wait', { count: waiting.length - WAITING })}
            </Say>
          </Link>
        ) : null}
        {low > 0 ? (
          <Link
            href="/drawer/packets"
            className={`min-h-target px-5 py-3 ${waiting.length > 0 ? '' : 'border-t'} border-b border-line`}
          >
            <Say weight="medium" tone="river">
              {words('now.low', { count: low })}
            </Say>
          </Link>
        ) : null}
      </View>
    ) : null;
  const last = (
    <View className={wide ? '' : 'pt-8'}>
      <Heading className="px-5 pb-2">{words('now.recent')}</Heading>
      {recent.length === 0 ? (
        <Say tone="soft" className="px-5">
          {words('now.none')}
        </Say>
      ) : (
        <MatchList ids={recent} narrow />
      )}
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
      {wide ? (
        <View className="flex-row">
          <View className="w-1/2">
            {door}
            {later}
            {waits}
          </View>
          <View className="w-1/2">{last}</View>
        </View>
      ) : (
        <>
          {door}
          {later}
          {waits}
          {last}
        </>
      )}
    </Page>
  );
}

const ON_RIVER = { overflow: 'visible' } as const;
