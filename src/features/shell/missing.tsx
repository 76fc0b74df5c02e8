import { type Href } from 'expo-router';
import { View } from 'react-native';
import { Say, WordLink } from '@/ui/primitives';
import { Page } from './page';
import { useWords } from './speech-context';

/** A deep link to something that is not there: says so and offers the list. */
export function Missing({
  what,
  list,
}: {
  what: 'match' | 'dressing' | 'model' | 'group' | 'box' | 'batch' | 'outing' | 'page';
  list: Href;
}) {
  const words = useWords();
  return (
    <Page title={words('missing.title')}>
      <View className="gap-4 px-5">
        <Say>{words(`missing.${what}`)}</Say>
        <WordLink to={list}>{words('missing.list')}</WordLink>
      </View>
    </Page>
  );
}
