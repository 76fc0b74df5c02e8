import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { ownKeys } from '@/records';
import { FORMS, KIND_OF, TABLE_NAMES, type Form, type TableName } from '@/records/backup';
import { useApp, type Store } from '@/state';
import { writeCollection } from '@/state/backup';
import { saveFile } from '@/features/files';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Pick, Say, Toggle } from '@/ui/primitives';

/** One collection into a file that other programs read. */
export function WriteOut() {
  const words = useWords();
  const speech = useSpeech();
  const store = useStore() as unknown as Store;
  const entities = useApp((state) => state.records.entities);
  const kinds = new Set(ownKeys(entities).map((key) => key.slice(0, key.indexOf('/'))));
  const there = TABLE_NAMES.filter((name) => kinds.has(KIND_OF[name]));
  const [asked, setAsked] = useState<TableName | null>(null);
  const [form, setForm] = useState<Form>('csv');
  const [exact, setExact] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const what = asked && there.includes(asked) ? asked : (there[0] ?? null);
  if (what === null) return <Say tone="soft">{words('tables.none')}</Say>;
  const forms = FORMS.filter((id) => id !== 'dwca' || what === 'samples');
  const as = forms.includes(form) ? form : 'csv';
  const write = async () => {
    const title = { title: speech.t('darwin-core.title'), abstract: speech.t('darwin-core.abstract') };
    const file = await writeCollection(store, { what, as, exact }, title);
    saveFile(file.name, file.bytes, file.type);
    setSaid(words('tables.written', { name: file.name, count: file.rows }));
  };
  return (
    <View className="gap-3">
      <View className="flex-row">
        <Pick<TableName>
          label={words('tables.which')}
          choices={there.map((id) => ({ id, label: words(`tables.name.${id}`) }))}
          value={what}
          onChange={(id) => {
            setAsked(id);
            setSaid(null);
          }}
        />
      </View>
      <Choose
        label={words('tables.form')}
        choices={forms.map((id) => ({ id, label: words(`tables.forms.${id}`) }))}
        value={as}
        onChange={setForm}
      />
      <Say size="small" tone="soft">
        {words(`tables.form-what.${as}`)}
      </Say>
      {as === 'dwca' ? <Toggle label={words('tables.exact')} on={exact} onChange={setExact} /> : null}
      <Button label={words('tables.write')} onPress={() => void write()} className="self-start" />
      {said ? (
        <Say live size="small" tone="sedge">
          {said}
        </Say>
      ) : null}
    </View>
  );
}
