import Check from 'lucide-react-native/icons/check';
import { View } from 'react-native';
import { heldOf, setDevice } from '@/records';
import { selectDevice, useAct, useApp } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Heading, Row, Say } from '@/ui/primitives';
import { token } from '@/ui/tokens';

/** So many flies make a box worth asking. */
const FLIES = 10;

const STEPS = [
  { id: 'card', href: '/shelf/field-card' },
  { id: 'packets', href: '/drawer/packets' },
  { id: 'flies', href: '/box' },
] as const;

/** What of the first steps is done, as it stands in the records. */
function useDone(): Record<(typeof STEPS)[number]['id'], boolean> {
  const { cardKept } = useApp(selectDevice);
  const packets = useApp((state) => Object.keys(state.records.entities.packet).length > 0);
  const flies = useApp(
    (state) =>
      Object.values(state.records.entities.fly)
        .flatMap(heldOf)
        .reduce((sum, { left }) => sum + left, 0) >= FLIES,
  );
  return { card: cardKept, packets, flies };
}

/** A clean start: three things to do first, each ticked once it is done; gone when all are, or put away. */
export function FirstSteps() {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { stepsAway } = useApp(selectDevice);
  const done = useDone();
  if (stepsAway || STEPS.every(({ id }) => done[id])) return null;
  return (
    <View className="gap-1 pb-5">
      <View className="flex-row items-center justify-between gap-3 px-5">
        <Heading>{words('first.title')}</Heading>
        <Button
          kind="quiet"
          label={words('first.away')}
          className="-mr-4"
          onPress={() => act(setDevice, { stepsAway: true })}
        />
      </View>
      <View role="list" className="border-t border-line">
        {STEPS.map(({ id, href }) => (
          <View key={id} role="listitem">
            <Row to={href} spoken={speech.sentences([words(`first.${id}`), done[id] && words('first.done')])}>
              <View
                aria-hidden
                className={`h-7 w-7 items-center justify-center rounded-control border ${done[id] ? 'border-sedge' : 'border-edge'}`}
              >
                {done[id] ? <Check size={20} color={token('sedge')} /> : null}
              </View>
              <View className="min-w-0 flex-1">
                <Say weight="medium" tone={done[id] ? 'soft' : 'ink'}>
                  {words(`first.${id}`)}
                </Say>
                {done[id] ? null : (
                  <Say size="small" tone="soft">
                    {words(`first.${id}-why`)}
                  </Say>
                )}
              </View>
            </Row>
          </View>
        ))}
      </View>
    </View>
  );
}
