import { useState } from 'react';
import { View } from 'react-native';
import { LOGGED, NONE_LOGGED, UNKNOWN_FLY, type LoggedId } from '@/core/outing';
import { fishing, logFish, type OutingRecord } from '@/records';
import { useAct } from '@/state';
import { useHookOf } from './hook-of';
import { SaidBack, useSpeech, useWords } from '@/features/shell';
import { Choose, Digits, Heading, Say, TapTile } from '@/ui/primitives';

/** The log: what is noted is chosen once, then every fly is one big tap, for a wet hand or a glove. */
export function Log({ id, outing }: { id: string; outing: OutingRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const [what, setWhat] = useState<LoggedId>('took');
  const [said, setSaid] = useState<{ what: LoggedId; name: string } | null>(null);
  const team = fishing(outing);
  const hookOf = useHookOf();
  const nobody = words('out.unknown');
  const places = [
    ...team.map((fly) => ({
      fly: fly.id as string | null,
      key: fly.id,
      name: fly.name,
      more: speech.beside([hookOf(fly), fly.position && words(`out.position.${fly.position}`)]),
    })),
    ...(what === 'lost-fly' ? [] : [{ fly: null, key: UNKNOWN_FLY, name: nobody, more: '' }]),
  ];
  return (
    <View className="gap-3 px-5 pb-6">
      <Heading>{words('out.log')}</Heading>
      <Choose
        tall
        label={words('out.what')}
        choices={LOGGED.map((own) => ({ id: own, label: words(`out.logged.${own}`) }))}
        value={what}
        onChange={setWhat}
      />
      {places.map(({ fly, key, name, more }) => {
        const count = (outing.tally.of[key] ?? NONE_LOGGED)[what];
        return (
          <TapTile
            key={key}
            label={words('out.log-spoken', {
              what: words(`out.logged.${what}`),
              name: speech.beside([name, more]),
              count,
            })}
            onPress={() => {
              if (act(logFish, { outingId: id, what, fly }) !== null) setSaid({ what, name });
            }}
          >
            <View className="min-w-0 flex-1">
              <Say weight="medium" size="lead">
                {name}
              </Say>
              {more ? (
                <Say size="small" tone="soft">
                  {more}
                </Say>
              ) : null}
            </View>
            <Digits size="lead">{String(count)}</Digits>
          </TapTile>
        );
      })}
      {team.length === 0 ? (
        <Say size="small" tone="soft">
          {words(what === 'lost-fly' ? 'out.no-team-lost' : 'out.no-team')}
        </Say>
      ) : null}
      {said ? (
        <SaidBack
          text={speech.pair(words(`out.logged.${said.what}`), said.name)}
          label={`log-${said.what}`}
          onBack={() => setSaid(null)}
        />
      ) : null}
    </View>
  );
}
