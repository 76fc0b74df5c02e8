import { useMemo } from 'react';
import { View } from 'react-native';
import { sessionNeeds, type SessionNeeds } from '@/core/session';
import { ownedIn, spoiledOf, type BatchRecord } from '@/records';
import { useApp } from '@/state';
import { selectAtHand, selectTools } from '@/state/answering';
import { useSpeech, useWords } from '@/features/shell';
import { Say, WordLink } from '@/ui/primitives';

/** What a session needs and what of it is at hand. */
export function useNeeds(batch: BatchRecord): SessionNeeds {
  const batches = useApp((state) => state.records.entities.batch);
  const packets = useApp((state) => state.records.entities.packet);
  const { tools } = useApp(selectAtHand);
  const every = useApp(selectTools);
  return useMemo(
    () =>
      sessionNeeds(
        batch.items
          .filter(({ count }) => count > 0)
          .map(({ card, count }) => ({ card, count, record: spoiledOf(batches, card.dressing.id) })),
        { owned: Object.keys(packets).length === 0 ? null : ownedIn(packets), tools },
        every,
      ),
    [batch.items, batches, packets, tools, every],
  );
}

/** Whether anything of it is wanting, for the line of its fold. */
export function wanting({ hooks, tools, short }: SessionNeeds): number {
  return hooks.filter(({ left, wanted }) => left !== null && left < wanted).length + tools.length + short.length;
}

/** Hooks against what is wanted, materials, tools and how to do without, cautions: before anything is cut. */
export function NeedsList({ needs, batch }: { needs: SessionNeeds; batch: BatchRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const line = (key: string, name: string, said: string, tone: 'sedge' | 'straw' | 'dawn' | 'soft') => (
    <View key={key} className="border-b border-line py-2">
      <Say>{name}</Say>
      <Say size="small" tone={tone}>
        {said}
      </Say>
    </View>
  );
  return (
    <View>
      {needs.hooks.map(({ id, maker, model, size, flies, wanted, left }) =>
        line(
          id,
          `${maker} ${model} ${size}`,
          left === null
            ? words('vise.hooks-wanted', { count: wanted, flies })
            : words(left >= wanted ? 'vise.hooks-enough' : left >= flies ? 'vise.hooks-bare' : 'vise.hooks-short', {
                count: left,
                wanted,
                flies,
              }),
          left === null ? 'soft' : left >= wanted ? 'sedge' : left >= flies ? 'straw' : 'dawn',
        ),
      )}
      {needs.short.map(({ dressing, material }) =>
        line(`${dressing} ${material}`, material, words('vise.material-short', { dressing }), 'dawn'),
      )}
      {needs.instead.map(({ dressing, material, by }) =>
        line(`${dressing} ${material}`, by, words('vise.material-instead', { dressing }), 'straw'),
      )}
      {needs.tools.map(({ id, name, without }) =>
        line(id, name, words('ready.tool-without', { how: without }), 'straw'),
      )}
      {needs.cautions.map((id) => (
        <View key={id} className="my-2 border-l-4 border-straw pl-3">
          <Say size="small" tone="straw" weight="medium">
            {speech.name('cautions', id)}
          </Say>
          <Say size="small">{speech.caution(id)}</Say>
        </View>
      ))}
      {needs.short.length > 0 ? (
        <WordLink to={{ pathname: '/drawer/shopping', params: { dressing: batch.items[0]!.card.dressing.id } }}>
          {words('ready.shop')}
        </WordLink>
      ) : null}
    </View>
  );
}
