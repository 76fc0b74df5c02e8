import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { DRESSINGS, faceOf, KNOWN } from '@/catalogue';
import type { OrderId, StageId, StyleId } from '@/catalogue/ids';
import { bareByWay } from '@/core/ways';
import { makeDressing } from '@/records';
import { useAct, useApp } from '@/state';
import { libraryCard, selectCatalogue, selectDressings } from '@/state/answering';
import { Page, useRedLamp, useSpeech, useWords } from '@/features/shell';
import { OrderPick } from '@/features/stage';
import { FlyThumb } from '@/ui/drawings';
import { Button, Pick, Heading, InView, Say } from '@/ui/primitives';
import { useDerive } from './use-derive';

const PICTURE = { width: 84, height: 60 } as const;

/** Where a dressing of one's own starts: from one that is proven, or from the bare hook. */
export function NewDressingScreen() {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const red = useRedLamp();
  const router = useRouter();
  const act = useAct();
  const derive = useDerive();
  const dressings = useApp(selectDressings);
  const catalogue = useApp(selectCatalogue);
  const [stage, setStage] = useState<StageId>('mayfly/dun');
  const order = stage.split('/')[0] as OrderId;
  const style = ids.stages.find((item) => item.id === stage)!.style as StyleId;
  const bare = () => {
    const name = words('dressing.my-new', { stage: speech.plain('stages', stage) });
    const made = bareByWay('new', name, stage, style, DRESSINGS, catalogue);
    if (!made) return;
    const id = act(makeDressing, { dressing: made });
    if (id !== null) router.navigate({ pathname: '/dressings/[id]/edit', params: { id } });
  };
  return (
    <Page
      column="list"
      back={{ href: '/dressings', label: words('place.dressings') }}
      title={words('dressing.new')}
      lead={words('dressing.new-lead')}
    >
      <View className="gap-3 px-5 pb-4">
        <View className="max-w-[560px] flex-row gap-3">
          <OrderPick
            label={words('dressing.natural')}
            orders={KNOWN.orders}
            value={order}
            onChange={(next) => next && setStage(faceOf(next))}
          />
          <Pick
            label={words('dressing.stage')}
            choices={ids.stages
              .filter((item) => item.order === order)
              .map((item) => ({ id: item.id as StageId, label: speech.name('stages', item.id) }))}
            value={stage}
            onChange={(next) => next && setStage(next)}
          />
        </View>
        <View className="flex-row flex-wrap items-center gap-3">
          <Button label={words('dressing.from-bare')} onPress={bare} />
          <Say size="small" tone="soft" className="min-w-56 flex-1">
            {words('dressing.from-bare-hint', { style: speech.plain('styles', style) })}
          </Say>
        </View>
      </View>
      <Heading className="px-5 pb-2">{words('dressing.from-proven')}</Heading>
      <View className="border-t border-line">
        {dressings
          .filter((dressing) => dressing.stages.includes(stage))
          .map((dressing) => (
            <View
              key={dressing.id}
              className="flex-row flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-5 py-2"
            >
              <InView {...PICTURE}>
                <FlyThumb card={libraryCard(dressing) ?? undefined} plain={red} {...PICTURE} />
              </InView>
              <Say weight="serif" size="lead" className="min-w-36 flex-1">
                {dressing.name}
              </Say>
              <Button
                label={words('dressing.start-from')}
                spoken={words('dressing.start-from-what', { name: dressing.name })}
                onPress={() => derive(dressing)}
              />
            </View>
          ))}
      </View>
    </Page>
  );
}
