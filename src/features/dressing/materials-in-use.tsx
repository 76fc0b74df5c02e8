import { useMemo } from 'react';
import { View } from 'react-native';
import { swapRefusals, type Answer } from '@/core/answer';
import { hexOfLab } from '@/core/colour';
import { isBenchLack, substitutesFor, type Dressing, type Refused, type Substitute } from '@/core/dressings';
import { everyHeld, withCalled } from '@/core/materials';
import { isSwapFault, swapKey, type Card, type CardMaterial } from '@/core/tying';
import { swapMaterial, type AnswerRecord } from '@/records';
import { useAct, useApp } from '@/state';
import { selectCatalogue, selectDressing, selectHeld, selectNamed } from '@/state/answering';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Fold, Heading, Say, WordLink } from '@/ui/primitives';
import { useCalled } from './use-called';

interface InUseProps {
  matchId: string;
  record: AnswerRecord;
  card: Card;
  natural: Answer['natural'];
  /** Under a heading that stands already, within the sides of what holds it. */
  bare?: boolean;
}

/** What the card is tied in: each material of the dressing, with what may stand in for it; one tap ties it in that. */
export function MaterialsInUse(props: InUseProps) {
  const { card, bare = false } = props;
  const words = useWords();
  const speech = useSpeech();
  const dressing = useApp((state) => selectDressing(state, card.dressing.id));
  if (!dressing) return null;
  return (
    <View className={`gap-1 ${bare ? '-mx-5' : ''}`}>
      {bare ? null : (
        <Heading size="small" level={3} className="px-5">
          {words('in-use.title')}
        </Heading>
      )}
      <View className="border-t border-line">
        {card.materials.map((line) => (
          <MaterialLine key={line.asked} {...props} line={line} dressing={dressing} />
        ))}
      </View>
      {card.materials.some(({ as }) => as === 'short' || as === 'substitute') ? (
        <View className="px-5 pt-2">
          <WordLink to={{ pathname: '/drawer/shopping', params: { dressing: card.dressing.id } }}>
            {words('ready.shop')}
          </WordLink>
        </View>
      ) : null}
      {card.stash
        .filter((why) => isSwapFault(why) || isBenchLack(why))
        .map((why) => (
          <Say key={speech.say(why)} size="small" tone="straw" className="px-5 pt-2">
            {speech.say(why)}
          </Say>
        ))}
    </View>
  );
}

const TONE = { itself: 'soft', shade: 'soft', substitute: 'straw', hand: 'river', short: 'dawn' } as const;

type LineProps = InUseProps & { line: CardMaterial; dressing: Dressing };

function MaterialLine(props: LineProps) {
  const { line, dressing, natural } = props;
  const words = useWords();
  const speech = useSpeech();
  const called = useCalled();
  const held = useApp(selectHeld);
  const parts = [
    ...new Set(dressing.parts.filter(({ material }) => material === line.asked).map(({ part }) => part)),
  ].map((part) => speech.plain('parts', part));
  const [asked, used] = [called(line.asked), called(line.used)];
  // Without a stash nobody knows what is there.
  const how =
    line.as === 'itself'
      ? held === null
        ? ''
        : words('in-use.as.itself')
      : words(`in-use.as.${line.as === 'hand' && line.used === line.asked ? 'kept' : line.as}`, {
          asked: asked?.name ?? line.asked,
        });
  const said = speech.beside([speech.list(parts), how]);
  const name = used?.name ?? line.used;
  if (!asked)
    return (
      <View className="border-b border-line px-5 py-2">
        <Say>{name}</Say>
      </View>
    );
  return (
    <Fold
      wide
      title={name}
      line={said}
      face={
        <View className="min-w-0 flex-1">
          <Say>{name}</Say>
          <Say size="small" tone={TONE[line.as]}>
            {said}
          </Say>
        </View>
      }
    >
      <InPlace
        {...props}
        region={
          dressing.parts.find(({ material, region }) => material === line.asked && region && natural.colours[region])
            ?.region ?? null
        }
      />
    </Fold>
  );
}

const MOST = { stash: 4, sold: 3, refused: 3 } as const;

function InPlace({
  matchId,
  record,
  card,
  line,
  dressing,
  natural,
  region,
}: LineProps & { region: Dressing['parts'][number]['region'] }) {
  const words = useWords();
  const act = useAct();
  const called = useCalled();
  const held = useApp(selectHeld);
  const named = useApp(selectNamed);
  const lab = region ? (natural.colours[region]?.lab ?? null) : null;
  const catalogue = useApp(selectCatalogue);
  const { own, sold, refused } = useMemo(() => {
    const wanted = named.materials.find(({ id }) => id === line.asked);
    if (!wanted) return { own: [], sold: [], refused: [] };
    const asking = { wanted, hex: lab ? hexOfLab(lab) : wanted.hex, dressing };
    const other = ({ id }: Substitute) => id !== line.used;
    const mine = substitutesFor({ ...asking, held: held ?? [] });
    const all = substitutesFor({ ...asking, held: everyHeld(named) });
    const onHook: Refused[] = [];
    // What does not tie on this hook is told with why, not offered.
    const ties = ({ id, name }: Substitute) => {
      const materials = withCalled(catalogue.materials, [id], named);
      const [why] = swapRefusals(
        card,
        dressing,
        { [swapKey(dressing.id, line.asked)]: id },
        { ...catalogue, materials },
      );
      if (why) onHook.push({ id, name, why });
      return why === undefined;
    };
    const had = mine.substitutes
      .filter(other)
      .slice(0, MOST.stash + MOST.refused)
      .filter(ties)
      .slice(0, MOST.stash);
    const fresh = all.substitutes.filter((one) => other(one) && !mine.substitutes.some(({ id }) => id === one.id));
    return {
      own: had,
      sold: fresh
        .slice(0, MOST.sold + MOST.refused)
        .filter(ties)
        .slice(0, MOST.sold),
      refused: [...onHook, ...(held === null ? all : mine).refused].slice(0, MOST.refused),
    };
  }, [card, catalogue, dressing, held, lab, line.asked, line.used, named]);
  const take = (by: string | null) =>
    act(swapMaterial, { matchId, answerId: record.id, dressing: dressing.id, material: line.asked, by });
  const asked = called(line.asked)?.name ?? line.asked;
  return (
    <>
      {line.as === 'hand' ? (
        <Button
          label={words('in-use.back')}
          spoken={words('in-use.back-what', { name: asked })}
          onPress={() => take(null)}
          className="self-start"
        />
      ) : null}
      {line.as === 'shade' || line.as === 'substitute' ? (
        <Button
          label={words('in-use.as-written')}
          spoken={words('in-use.take-what', { name: asked })}
          onPress={() => take(line.asked)}
          className="self-start"
        />
      ) : null}
      {own.length > 0 ? <Several title={words('ready.yours')} several={own} onTake={take} /> : null}
      <Several title={words('ready.sold')} several={sold} onTake={take} />
      {refused.map((one) => (
        <Refusal key={one.id} refused={one} />
      ))}
      {dressing.threads.some(({ material }) => material === line.asked) ? (
        <WordLink to={{ pathname: '/drawer/threads', params: { match: matchId } }}>{words('threads.which')}</WordLink>
      ) : null}
    </>
  );
}

/** Several that may stand in, with what changes in the tying; where a card can be changed, each is taken by a tap. */
export function Several({
  title,
  several,
  onTake,
}: {
  title: string;
  several: readonly Substitute[];
  onTake?: (id: string) => void;
}) {
  const words = useWords();
  const speech = useSpeech();
  return (
    <View className="gap-2">
      <Say size="small" weight="medium" tone="soft">
        {title}
      </Say>
      {several.length === 0 ? (
        <Say size="small" tone="soft">
          {words('ready.none')}
        </Say>
      ) : null}
      {several.map((one) => (
        <View key={one.id} className="flex-row items-center gap-3">
          <View className="min-w-0 flex-1">
            <Say>{one.name}</Say>
            <Say size="small" tone="soft">
              {one.changes.length === 0
                ? words('ready.no-change')
                : speech.clauses(one.changes.map((change) => speech.say(change)))}
            </Say>
          </View>
          {onTake ? (
            <Button
              label={words('in-use.take')}
              spoken={words('in-use.take-what', { name: one.name })}
              onPress={() => onTake(one.id)}
            />
          ) : null}
        </View>
      ))}
    </View>
  );
}

export function Refusal({ refused: { name, why } }: { refused: Refused }) {
  const words = useWords();
  const speech = useSpeech();
  return (
    <Say size="small" tone="straw">
      {words('ready.refused', { name, why: speech.say(why) })}
    </Say>
  );
}
