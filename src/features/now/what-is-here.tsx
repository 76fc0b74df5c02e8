import { View } from 'react-native';
import { isLow } from '@/records';
import { useApp } from '@/state';
import { MatchList, selectMatchIds, selectWaiting } from '@/features/matches';
import { useWide, useWords } from '@/features/shell';
import { Heading, Row, Say } from '@/ui/primitives';

const RECENT = 6;
/** Of those that wait so many stand here: the latest, and how many more. */
const WAITING = 6;

/** What waits for something, the latest first, packets that run low, and the last matches that wait for nothing. */
export function WhatIsHere() {
  const words = useWords();
  const wide = useWide();
  const waiting = useApp(selectWaiting);
  const ids = useApp(selectMatchIds);
  const low = useApp((state) => Object.values(state.records.entities.packet).filter(isLow).length);
  const open = new Set(waiting);
  const recent = ids.filter((id) => !open.has(id)).slice(0, RECENT);
  return (
    <View className={`gap-8 ${wide ? '' : 'pt-8'}`}>
      {waiting.length > 0 || low > 0 ? (
        <View>
          <Heading className="px-5 pb-2">{words('now.waiting')}</Heading>
          {waiting.length > 0 ? <MatchList ids={waiting.slice(0, WAITING)} narrow /> : null}
          {waiting.length > WAITING ? (
            <Row to="/matches">
              <Say weight="medium" tone="river">
                {words('now.more-wait', { count: waiting.length - WAITING })}
              </Say>
            </Row>
          ) : null}
          {low > 0 ? (
            <Row to="/drawer/packets">
              <Say weight="medium" tone="river">
                {words('now.low', { count: low })}
              </Say>
            </Row>
          ) : null}
        </View>
      ) : null}
      <View>
        <Heading className="px-5 pb-2">{words('now.recent')}</Heading>
        {recent.length === 0 ? (
          <Say tone="soft" className="px-5">
            {words('now.none')}
          </Say>
        ) : (
          <MatchList ids={recent} narrow />
        )}
      </View>
    </View>
  );
}
