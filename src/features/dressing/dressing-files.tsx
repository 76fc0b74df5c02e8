import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { KNOWN } from '@/catalogue';
import { readDressings, writeDressings, type DressingsRead } from '@/core/exchange';
import { dressingFaults } from '@/core/faults';
import { takeDressings } from '@/records/shipped';
import { useAct, useApp } from '@/state';
import { selectCatalogue, selectOwnDressings } from '@/state/answering';
import { openText, saveFile } from '@/features/files';
import { ReadingReport, useForesee } from '@/features/reading';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Heading, Say } from '@/ui/primitives';

/** Dressings from a file and into one: a report first, then what is good is taken. */
export function DressingFiles() {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const own = useApp(selectOwnDressings);
  const catalogue = useApp(selectCatalogue);
  const [read, setRead] = useState<DressingsRead | null>(null);
  const [taken, setTaken] = useState<number | null>(null);
  const faulty = read
    ? read.dressings.filter(
        (dressing) =>
          dressingFaults(dressing, { ...catalogue, materials: [...read.materials, ...catalogue.materials] }).length > 0,
      ).length
    : 0;
  const good = read !== null && !read.fault && read.dressings.length > 0 ? read : null;
  const reading = useForesee(
    takeDressings,
    useMemo(() => (good === null ? null : { dressings: good.dressings, materials: good.materials }), [good]),
  );
  const open = async () => {
    const text = await openText('.json,.md,application/json,text/markdown');
    if (text === null) return;
    setTaken(null);
    setRead(readDressings(text, KNOWN, catalogue));
  };
  const take = ({ dressings, materials }: DressingsRead) => {
    act(takeDressings, { dressings, materials });
    setTaken(dressings.length);
    setRead(null);
  };
  return (
    <View className="gap-3 px-5 pt-8">
      <Heading>{words('dressing.files')}</Heading>
      <View className="flex-row flex-wrap gap-3">
        <Button label={words('dressing.read-file')} onPress={() => void open()} />
        {own.length > 0 ? (
          <Button
            label={words('dressing.write-own', { count: own.length })}
            onPress={() => saveFile('aubade-dressings.json', writeDressings(own, catalogue))}
          />
        ) : null}
      </View>
      {read?.fault ? (
        <Say live tone="dawn">
          {words(`dressing.file-fault.${read.fault}`)}
        </Say>
      ) : null}
      {read && !read.fault ? (
        <View className="gap-2 rounded-control border border-edge bg-plane p-3">
          <Say live>{words('dressing.file-report', { good: read.dressings.length, count: read.count })}</Say>
          {reading ? <ReadingReport reading={reading} held={read.dressings.length + read.materials.length} /> : null}
          {faulty > 0 ? (
            <Say size="small" tone="straw">
              {words('dressing.file-faulty', { count: faulty })}
            </Say>
          ) : null}
          {read.problems.map((problem) => (
            <Say key={`${problem.record}${problem.path}${problem.message}`} size="small" tone="dawn">
              {speech.pair(speech.beside([problem.record, problem.path]), problem.message)}
            </Say>
          ))}
          <View className="flex-row flex-wrap gap-3">
            {read.dressings.length > 0 ? (
              <Button
                kind="main"
                label={words('dressing.take', { count: read.dressings.length })}
                onPress={() => take(read)}
              />
            ) : null}
            <Button kind="quiet" label={words('dressing.leave')} onPress={() => setRead(null)} />
          </View>
        </View>
      ) : null}
      {taken !== null ? (
        <Say live tone="sedge">
          {words('dressing.taken', { count: taken })}
        </Say>
      ) : null}
    </View>
  );
}
