import { useState } from 'react';
import { View } from 'react-native';
import type { NaturalGroup } from '@/core/belief';
import { foundBy } from '@/speech/card';
import { selectSettings, useApp } from '@/state';
import { selectGroups } from '@/state/answering';
import { InList, Page, useSpeech, useWide, useWords } from '@/features/shell';
import { Choose, Field, Heading, Row, Say } from '@/ui/primitives';
import { OwnGroups } from './own-groups';
import { raised } from '@/speech';
import { SeasonBar, seasonOf } from './season-bar';

/** Lengths over all stages of a group, mm. */
export function lengthsOf(group: NaturalGroup): [number, number] | null {
  const all = group.stages.flatMap((entry) => entry.length_mm ?? []);
  return all.length === 0 ? null : [Math.min(...all), Math.max(...all)];
}

/** Whether a group answers a search: its names, its colours, its note. */
export function answersSearch(group: NaturalGroup, text: string): boolean {
  return foundBy(
    [group.name, group.scientific, group.id, group.note ?? '', ...Object.values(group.colours)].join(' '),
    text,
  );
}

/** Naturals by order: names, season and size; searched by any word, kept to a part of the world. */
export function GuideScreen() {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const wide = useWide();
  const { fauna } = useApp(selectSettings);
  const [search, setSearch] = useState('');
  const [where, setWhere] = useState<string>(fauna ?? '');
  const groups = useApp(selectGroups);
  const shown = groups.filter(
    (group) =>
      (where === '' || group.regions.length === 0 || (group.regions as readonly string[]).includes(where)) &&
      answersSearch(group, search.trim()),
  );
  const orders = ids.orders
    .map((order) => ({ id: order.id, groups: shown.filter((group) => group.order === order.id) }))
    .filter((order) => order.groups.length > 0);
  return (
    <Page
      column="list"
      back={{ href: '/shelf', label: words('place.shelf') }}
      title={words('shelf.naturals')}
      lead={words('guide.count', { count: shown.length })}
    >
      <View className="gap-3 px-5 pb-4">
        <View className="max-w-96">
          <Field label={words('guide.search')} value={search} onType={setSearch} />
        </View>
        <Choose
          label={words('guide.where')}
          choices={[
            { id: '', label: words('guide.anywhere') },
            ...ids.faunas.map((item) => ({ id: item.id, label: speech.name('faunas', item.id) })),
          ]}
          value={where}
          onChange={setWhere}
        />
      </View>
      <OwnGroups />
      {shown.length === 0 ? <Say className="px-5">{words('guide.none')}</Say> : null}
      {orders.map((order) => (
        <View key={order.id} className="pb-6">
          <Heading className="px-5 pb-2">{speech.name('orders', order.id)}</Heading>
          <View className={`border-t border-line ${wide ? 'flex-row flex-wrap' : ''}`}>
            {order.groups.map((group) => (
              <InList key={group.id} record={{ kind: 'group', id: group.id }} name={group.name} data={group}>
                <GroupRow group={group} wide={wide} />
              </InList>
            ))}
          </View>
        </View>
      ))}
    </Page>
  );
}

/** A group in a line: its names, lengths and months. */
export function GroupRow({ group, wide }: { group: NaturalGroup; wide: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  const range = lengthsOf(group);
  const about = speech.beside([
    group.id.startsWith('group_') && words('guide.own'),
    group.scientific,
    range && words('dressing.range', { low: speech.length(range[0]), high: speech.length(range[1]) }),
  ]);
  return (
    <View className={wide ? 'w-1/2' : 'w-full'}>
      <Row
        tall
        to={{ pathname: '/shelf/naturals/[id]', params: { id: group.id } }}
        spoken={speech.sentences([raised(group.name), about, seasonOf(group.months, words, speech)])}
      >
        <View className="min-w-0 flex-1 gap-1">
          <Say weight="serif" size="lead">
            {raised(group.name)}
          </Say>
          <Say size="small" tone="soft">
            {about}
          </Say>
          <SeasonBar months={group.months} />
        </View>
      </Row>
    </View>
  );
}
