import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { KNOWN, labOfShade } from '@/catalogue';
import { readGroupsFile, writeGroupsFile, type GroupsRead } from '@/core/exchange';
import { newGroup, ownGroups, takeGroups } from '@/records';
import { useAct, useApp } from '@/state';
import { openText, saveFile } from '@/features/files';
import { ReadingReport, useForesee } from '@/features/reading';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Heading, Say } from '@/ui/primitives';

/** Groups of the tier's own: add one, read a file with a report row by row, write them all to one. */
export function OwnGroups() {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const act = useAct();
  const own = useApp((state) => state.records.entities.group);
  const [read, setRead] = useState<GroupsRead | null>(null);
  const groups = read?.groups ?? null;
  const reading = useForesee(
    takeGroups,
    useMemo(() => (groups === null || groups.length === 0 ? null : { groups }), [groups]),
  );
  const add = () => {
    const id = act(newGroup, { name: words('guide.new-name') });
    if (id === null) return;
    router.navigate({ pathname: '/shelf/naturals/[id]', params: { id } });
  };
  const take = async () => {
    const text = await openText('.csv,.json,text/csv,application/json');
    if (text !== null) setRead(readGroupsFile(text, { ...KNOWN, shade: (shade) => labOfShade(shade) !== null }));
  };
  const put = () => {
    if (groups) act(takeGroups, { groups });
    setRead(null);
  };
  return (
    <View className="gap-3 px-5 pb-6">
      <View className="flex-row flex-wrap gap-3">
        <Button label={words('guide.add')} onPress={add} />
        <Button label={words('guide.import')} onPress={() => void take()} />
        {Object.keys(own).length > 0 ? (
          <Button
            label={words('guide.export')}
            onPress={() => saveFile('aubade-groups.csv', writeGroupsFile(ownGroups(own)), 'text/csv')}
          />
        ) : null}
      </View>
      {read ? (
        <View aria-live="polite" className="gap-2 rounded-control border border-edge bg-plane p-3">
          <Heading size="small">{words('guide.read', { count: read.groups.length })}</Heading>
          {reading ? <ReadingReport reading={reading} held={read.groups.length} /> : null}
          {read.problems.map((problem, index) => (
            <Say key={index} size="small" tone="dawn">
              {`${problem.line === null ? '' : `${words('guide.line', { line: problem.line })} `}${speech.say(problem, 'fault')}`}
            </Say>
          ))}
          <View className="flex-row gap-3">
            {read.groups.length > 0 ? (
              <Button kind="main" label={words('guide.take', { count: read.groups.length })} onPress={put} />
            ) : null}
            <Button kind="quiet" label={words('guide.leave')} onPress={() => setRead(null)} />
          </View>
        </View>
      ) : null}
    </View>
  );
}
