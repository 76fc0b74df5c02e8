import { View } from 'react-native';
import { totalOf } from '@/core/session/running';
import { isLow, openBatch, startOuting } from '@/records';
import { selectLatestOuting, selectRunningOuting, useAct, useApp } from '@/state';
import { MatchList, selectMatchIds, selectWaiting } from '@/features/matches';
import { useSpeech, useWide, useWords } from '@/features/shell';
import { Button, Heading, Row, Say } from '@/ui/primitives';

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
    <View className={`gap-8 ${wide ? '' : 'pt-6'}`}>
      <View>
        <AtTheWater />
        <AtTheVise />
      </View>
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

const NONE = { items: [], flies: {} };

/** Where an outing is begun, with one tap at the water of last time; the one that goes on stands above. */
function AtTheWater() {
  const words = useWords();
  const act = useAct();
  const { outing, water } = useApp((state) => state.records.entities);
  const last = useApp(selectLatestOuting);
  if (useApp(selectRunningOuting) !== null) return null;
  const waterId = last === null ? null : (outing[last]!.waterId ?? null);
  const at = waterId === null ? undefined : water[waterId];
  return (
    <View className="border-t border-line">
      <Row tall to="/out">
        <View className="min-w-0 flex-1">
          <Say weight="strong" size="lead">
            {words('out.now')}
          </Say>
          <Say size="small" tone="soft">
            {words('out.now-hint')}
          </Say>
        </View>
      </Row>
      <View className="border-b border-line px-5 py-3">
        <Button
          tall
          className="self-start"
          label={at ? words('out.begin-at', { water: at.name }) : words('out.begin-here')}
          onPress={() => act(startOuting, { water: at ? waterId : null })}
        />
      </View>
    </View>
  );
}

/** The session that is open: where it stands, straight to the vise. Without one, where one is made. */
function AtTheVise() {
  const words = useWords();
  const speech = useSpeech();
  const batches = useApp((state) => state.records.entities.batch);
  const id = openBatch(batches);
  const batch = id === null ? null : batches[id]!;
  const { made, wanted } = totalOf(batch ?? NONE);
  const begun = batch !== null && Object.keys(batch.flies).length > 0;
  return (
    <View className="border-t border-line">
      <Row
        tall
        to={
          id === null ? '/vise' : { pathname: begun && made < wanted ? '/vise/[id]/tie' : '/vise/[id]', params: { id } }
        }
      >
        <View className="min-w-0 flex-1">
          <Say weight="strong" size="lead">
            {words('vise.now')}
          </Say>
          <Say size="small" tone="soft">
            {batch && batch.items.length > 0
              ? speech.beside([
                  speech.list([...new Set(batch.items.map(({ card }) => card.dressing.name))]),
                  words('vise.made-of', { made, count: wanted }),
                ])
              : words('vise.now-hint')}
          </Say>
        </View>
      </Row>
    </View>
  );
}
