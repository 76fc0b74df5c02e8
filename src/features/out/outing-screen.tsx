import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { NONE_LOGGED, outingFaults, UNKNOWN_FLY, type LoggedCount } from '@/core/outing';
import { deleteOuting, endOuting, hoursOut, setOuting, timesOf, type OutingRecord } from '@/records';
import { nowOf, useAct, useApp, type Store } from '@/state';
import { AfterHead, CautionOfTheDay, Missing, Page, TwoColumns, useNow, useSpeech, useWords } from '@/features/shell';
import { Button, Heading, More, Say } from '@/ui/primitives';
import { cameText, spentText } from './came';
import { HappenedFold } from './happened-fold';
import { Log } from './log';
import { MatchesFold } from './matches-fold';
import { SeenFold } from './seen-fold';
import { MovesFold, Strip, WhyFold } from './strip';
import { TeamFold } from './team-fold';
import { TemperatureFold } from './temperature-fold';
import { PlaceFold, RulesFold, StateFold } from './water-folds';

const MINUTE_MS = 60_000;

/** One outing: while it goes on its log first, with one wet thumb; later what came of it, to be read years on. */
export function OutingScreen({ id }: { id: string }) {
  const outing = useApp((state) => state.records.entities.outing[id]);
  if (!outing) return <Missing what="outing" list="/out" />;
  return <Shown id={id} outing={outing} />;
}

function Shown({ id, outing }: { id: string; outing: OutingRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const router = useRouter();
  const { getState, ports } = useStore() as unknown as Store;
  const water = useApp((state) => (outing.waterId ? state.records.entities.water[outing.waterId] : undefined));
  const open = outing.end === null;
  useNow(MINUTE_MS);
  const now = nowOf(getState(), ports);
  const outings = useApp((state) => state.records.entities.outing);
  const faults = outingFaults(
    timesOf(id, outing),
    Object.entries(outings).map(([other, own]) => timesOf(other, own)),
  );
  const first = (
    <>
      {faults.length > 0 ? (
        <View className="gap-1 px-5 pb-4">
          {faults.map((fault) => (
            <Say key={JSON.stringify(fault)} tone="dawn">
              {words('out.fault', { fault: speech.say(fault, 'fault') })}
            </Say>
          ))}
        </View>
      ) : null}
      {open ? (
        <View className="px-5 pb-4">
          <CautionOfTheDay ids={['wading', 'dark-alone']} />
        </View>
      ) : null}
      <Strip {...{ id, outing, now, open }} />
      {open ? <Log id={id} outing={outing} /> : <Came outing={outing} />}
    </>
  );
  const folds = (
    <AfterHead>
      <View className="border-t border-line">
        {open ? <MovesFold {...{ id, outing, now }} /> : null}
        <TeamFold {...{ id, outing, now, open }} />
        <SeenFold {...{ id, outing, now, open }} />
        <WhyFold {...{ outing, now }} />
        <HappenedFold id={id} outing={outing} />
        <MatchesFold id={id} />
        <StateFold id={id} outing={outing} />
        {outing.waterId && water ? (
          <>
            <RulesFold id={outing.waterId} water={water} />
            <PlaceFold id={outing.waterId} water={water} day={outing.start.slice(0, 10)} />
            <TemperatureFold id={outing.waterId} water={water} />
          </>
        ) : null}
        <View className="flex-row flex-wrap items-center gap-3 px-5 pt-4">
          {open ? (
            <Button tall label={words('out.end')} onPress={() => act(endOuting, { outingId: id })} />
          ) : (
            <Button label={words('out.again')} onPress={() => act(setOuting, { outingId: id, end: null })} />
          )}
        </View>
        <View className="px-5 pt-2">
          <More label={words('out.more')}>
            <Button
              kind="quiet"
              label={words('out.delete')}
              onPress={() => {
                act(deleteOuting, { outingId: id });
                router.navigate('/out');
              }}
            />
          </More>
        </View>
      </View>
    </AfterHead>
  );
  return (
    <Page
      column="list"
      back={{ href: '/out', label: words('place.out') }}
      title={water?.name ?? words('out.somewhere')}
      lead={speech.beside([
        speech.day(outing.start, true),
        spentText(hoursOut(outing, now), speech),
        !open && words('out.ended'),
      ])}
    >
      <TwoColumns>{[first, folds]}</TwoColumns>
    </Page>
  );
}

/** What came of an outing: in all, and by fly. */
function Came({ outing }: { outing: OutingRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const told = (counts: LoggedCount) => cameText(counts, speech);
  const rows = [
    ...outing.team.map(({ id, name }) => ({ id, name })),
    { id: UNKNOWN_FLY, name: words('out.unknown') },
  ].flatMap((fly) => {
    const text = told(outing.tally.of[fly.id] ?? NONE_LOGGED);
    return text === '' ? [] : [{ ...fly, text }];
  });
  return (
    <View className="gap-3 px-5 pb-6">
      <Heading>{words('out.came-of-it')}</Heading>
      <Say size="lead">{told(outing.tally.all) || words('out.came-nothing')}</Say>
      {rows.length > 0 ? (
        <View role="list" className="border-t border-line">
          {rows.map(({ id, name, text }) => (
            <View key={id} role="listitem" className="min-h-target justify-center border-b border-line py-2">
              <Say weight="medium">{name}</Say>
              <Say size="small" tone="soft">
                {text}
              </Say>
            </View>
          ))}
        </View>
      ) : null}
    </View>
  );
}
