import { View } from 'react-native';
import { useStore } from 'react-redux';
import { closeRefused, useApp, useAppDispatch, writeRecords, type Store } from '@/state';
import { saveFile } from '@/features/files';
import { Button, Say } from '@/ui/primitives';
import { useWords } from './speech-context';

/** What stands in the way of keeping what was typed: not written yet, nothing kept at all, or a change refused; with what to do. Nothing while all is kept. */
export function Keeping() {
  const words = useWords();
  const dispatch = useAppDispatch();
  const store = useStore() as unknown as Store;
  const { persistence } = store;
  const unkept = useApp((state) => state.session.unkept);
  const inMemory = useApp((state) => state.session.inMemory);
  const refused = useApp((state) => state.session.refused);
  if (!unkept && !inMemory && !refused) return null;
  const save = async () => saveFile('aubade-not-kept.json', await writeRecords(store, unkept ? unkept.keys : null));
  return (
    <View
      role="region"
      aria-label={words('keeping.title')}
      className="gap-1 border-b border-line border-l-4 border-l-dawn bg-plane px-4 py-2"
    >
      {unkept ? (
        <Say live weight="medium">
          {words('keeping.unkept', { count: unkept.keys.length })}
        </Say>
      ) : null}
      {unkept ? <Say size="small">{words(`keeping.why.${unkept.why}`)}</Say> : null}
      {inMemory ? (
        <Say live weight="medium">
          {words('keeping.memory')}
        </Say>
      ) : null}
      {unkept || inMemory ? (
        <View className="-ml-4 flex-row flex-wrap">
          {unkept ? (
            <Button kind="quiet" label={words('keeping.again')} onPress={() => void persistence.current?.look()} />
          ) : null}
          <Button kind="quiet" label={words('keeping.save')} onPress={() => void save()} />
        </View>
      ) : null}
      {refused ? (
        <View className="flex-row items-center justify-between gap-3">
          <Say live size="small" className="min-w-0 flex-1">
            {words('keeping.refused', { detail: refused.detail })}
          </Say>
          <Button kind="quiet" label={words('keeping.close')} onPress={() => dispatch(closeRefused())} />
        </View>
      ) : null}
    </View>
  );
}
