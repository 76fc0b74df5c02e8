import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { isShort, sameFlies, type SameFly } from '@/records';
import { foundBy } from '@/speech/card';
import { useApp } from '@/state';
import { readyAtHand } from '@/core/answer';
import { selectAtHand, selectCatalogue, selectFlyName } from '@/state/answering';
import { InList, useSpeech, useWords } from '@/features/shell';
import { Digits, Field, Fold, Row, Say } from '@/ui/primitives';
import { hookLine, placeName } from './in-box';

/** A fly as it is searched and listed: its name, its hook, and its places in words. */
interface FlyLine {
  fly: SameFly;
  name: string;
  hook: string;
  places: string;
  text: string;
}

/** Every fly of every box, the same fly once, by name. */
function useFlyLines(): FlyLine[] {
  const speech = useSpeech();
  const words = useWords();
  const flies = useApp((state) => state.records.entities.fly);
  const boxes = useApp((state) => state.records.entities.box);
  const { hooks } = useApp(selectCatalogue);
  const nameOf = useApp(selectFlyName);
  return useMemo(() => {
    const byId = new Map(hooks.map((hook) => [hook.id, hook]));
    return sameFlies(Object.entries(flies))
      .map((fly): FlyLine => {
        const [name, hook] = [nameOf(fly.fly), hookLine(fly.fly, byId, speech)];
        const places = speech.beside(
          fly.places.map(({ boxId, slot, left }) =>
            words('box.place-left', { place: placeName(boxes[boxId], slot, speech), left }),
          ),
        );
        const stage = fly.fly.stage ? speech.name('stages', fly.fly.stage) : '';
        return { fly, name, hook, places, text: speech.beside([name, hook, stage]) };
      })
      .sort((a, b) => a.name.localeCompare(b.name) || b.fly.left - a.fly.left);
  }, [boxes, flies, hooks, nameOf, speech, words]);
}

/** Which box holds a fly, and what has run out or is below its mark and is to be tied. */
export function EveryFly() {
  const words = useWords();
  const lines = useFlyLines();
  const [text, setText] = useState('');
  const asked = text.trim() !== '';
  const found = asked ? lines.filter((line) => foundBy(line.text, text)) : [];
  const gone = lines.filter(({ fly }) => isShort(fly));
  if (lines.length === 0) return null;
  return (
    <View className="pb-4">
      <View className="px-5 pb-2">
        <Field label={words('box.search')} value={text} onType={setText} />
      </View>
      {asked ? (
        <View>
          <Say live size="small" tone="soft" className="px-5 py-2">
            {found.length === 0 ? words('box.search-none') : words('box.search-found', { count: found.length })}
          </Say>
          <FlyLines lines={found} />
        </View>
      ) : null}
      {gone.length > 0 ? (
        <Fold wide title={words('box.to-tie')} line={words('box.gone', { count: gone.length })}>
          <View className="-mx-5">
            <FlyLines lines={gone} toTie />
          </View>
        </Fold>
      ) : null}
    </View>
  );
}

function FlyLines({ lines, toTie = false }: { lines: readonly FlyLine[]; toTie?: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  const hand = useApp(selectAtHand);
  const catalogue = useApp(selectCatalogue);
  const readyOf = (id: string | null) => {
    const dressing = toTie && hand.stash ? catalogue.dressings.find((own) => own.id === id) : undefined;
    return dressing ? speech.plain('readiness', readyAtHand(dressing, hand, catalogue).ready) : null;
  };
  return (
    <View role="list" className="border-t border-line">
      {lines.map(({ fly, name, hook, places }) => (
        <InList key={fly.ids[0]} record={{ kind: 'fly', id: fly.ids[0]! }} name={name} data={fly.fly}>
          <View role="listitem">
            <Row
              to={
                toTie && fly.fly.dressingId
                  ? { pathname: '/dressings/[id]', params: { id: fly.fly.dressingId } }
                  : { pathname: '/box/[id]', params: { id: fly.places[0]?.boxId ?? '' } }
              }
              spoken={speech.sentences([
                toTie && fly.fly.dressingId ? words('box.tie-what', { name }) : name,
                hook,
                fly.low === null
                  ? words('box.left-count', { count: fly.left })
                  : words('box.left-of', { count: fly.left, low: fly.low }),
                places,
                readyOf(fly.fly.dressingId),
              ])}
            >
              <View className="min-w-0 flex-1">
                <Say weight="medium">{name}</Say>
                <Say size="small" tone="soft">
                  {speech.beside([
                    hook,
                    toTie && fly.low !== null && words('box.left-of', { count: fly.left, low: fly.low }),
                    toTie ? readyOf(fly.fly.dressingId) : places,
                  ])}
                </Say>
              </View>
              {toTie && fly.fly.dressingId ? (
                <Say size="small" weight="medium" tone="river">
                  {words('box.its-dressing')}
                </Say>
              ) : (
                <Digits tone={fly.left === 0 ? 'dawn' : 'ink'}>{String(fly.left)}</Digits>
              )}
            </Row>
          </View>
        </InList>
      ))}
    </View>
  );
}
