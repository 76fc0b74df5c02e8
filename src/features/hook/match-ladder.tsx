import { useMemo, useState } from 'react';
import { Z95 } from '@/core/constants';
import { View } from 'react-native';
import { insectsToSettle, measuresToSettle, modelsInOrder, railOf, type Answer } from '@/core/answer';
import { isAbout } from '@/core/quantity';
import { formatLength } from '@/core/units';
import { hookName } from '@/features/matches';
import { useSpeech, useWidth, useWords } from '@/features/shell';
import { railLabels } from '@/speech/card';
import { Ladder, type Rail } from '@/ui/drawings';
import { Button, Say } from '@/ui/primitives';

/** A model of the answer as a rail: rungs at what each size carries in the style in use. */
function railFrom(answer: Answer, model: number, lit: ReadonlySet<string>, words: ReturnType<typeof useWords>): Rail {
  const { columns } = answer.ladder;
  const hooks = railOf(answer.ladder, model);
  const first = columns.hooks[columns.starts[model]!]!;
  const settled = measuresToSettle(answer.ladder, model);
  return {
    id: `${first.maker}:${first.model}`,
    maker: first.makerName,
    model: first.modelName,
    open: settled?.measures
      ? {
          short: words('hook.tape-short', { count: settled.measures }),
          said: words('hook.tape-said', { count: settled.measures }),
        }
      : null,
    rungs: hooks.map((hook) => {
      const { shank } = columns.hooks[columns.at.get(hook.id)!]!;
      const half = isAbout(shank.source) && shank.sd !== null ? Z95 * shank.sd * (hook.carry_mm / shank.value) : null;
      return {
        id: hook.id,
        size: hook.size,
        mm: hook.carry_mm,
        half,
        chance: lit.has(hook.id) ? `${Math.round(hook.probability! * 100)} %` : null,
        lit: lit.has(hook.id),
        owned: hook.owned > 0,
        pinned: hook.pinned,
      };
    }),
  };
}

/** Rails of the first screen: what they say is explained under them. */
const FIRST = 8;

/** The ladder of a match: the nearest model of every maker, or every model, nearest first. */
export function MatchLadder({
  answer,
  chosen,
  onRung,
  on,
}: {
  answer: Answer;
  chosen: string | null;
  onRung: (id: string) => void;
  on: 'ground' | 'plane';
}) {
  const speech = useSpeech();
  const railLabel = useMemo(() => railLabels(speech), [speech]);
  const words = useWords();
  const [width, box] = useWidth();
  const [all, setAll] = useState(false);
  const { columns } = answer.ladder;
  const models = useMemo(() => modelsInOrder(answer.ladder.columns, answer.ladder), [answer]);
  const best = useMemo(() => Object.values(answer.by_maker), [answer]);
  const shown = all ? models : best.map((hook) => columns.model[columns.at.get(hook.id)!]!);
  const lit = useMemo(() => new Set(best.map((hook) => hook.id)), [best]);
  // A rail is made once for an answer: it is asked for whenever the page scrolls.
  const made = useMemo(() => ({ answer, rails: new Map<number, Rail>() }), [answer]);
  const railAt = (model: number) => {
    const rail = made.rails.get(model) ?? railFrom(made.answer, model, lit, words);
    made.rails.set(model, rail);
    return rail;
  };
  const open = shown.slice(0, FIRST).some((model) => railAt(model).open);
  const half = Math.max(
    Z95 * answer.natural.length.seMm * (answer.target_mm / answer.natural.length.meanMm),
    answer.target_mm * 0.02,
  );
  const nearest = best.map((hook) => hook.carry_mm);
  const low = Math.min(answer.target_mm * 0.68, ...nearest) * 0.98;
  const high = Math.max(answer.target_mm * 1.42, ...nearest) * 1.02;
  const first = answer.hooks[0];
  const insects = useMemo(
    () => (first ? insectsToSettle(answer, columns.model[columns.at.get(first.id)!]!) : null),
    [answer, columns, first],
  );
  return (
    <View {...box} className="gap-2">
      {width > 0 ? (
        <Ladder
          label={words('ladder.label', {
            count: shown.length,
            unit: speech.t(speech.unit === 'mm' ? 'unit.mm' : 'unit.in'),
            target: speech.length(answer.target_mm),
            best: first ? `${first.maker_name} ${first.size}` : '',
          })}
          hint={words('ladder.keys')}
          railLabel={railLabel}
          on={on}
          width={width}
          count={shown.length}
          railAt={(index) => railAt(shown[index]!)}
          band={{ mm: answer.target_mm, half, digits: formatLength(answer.target_mm, speech.unit).digits }}
          domain={[low, high]}
          tick={(mm) => (speech.unit === 'mm' ? String(Number(mm.toFixed(1))) : formatLength(mm, speech.unit).digits)}
          unit={speech.t(speech.unit === 'mm' ? 'unit.mm' : 'unit.in')}
          chosen={chosen}
          onRung={onRung}
        />
      ) : null}
      {insects ? (
        <Say size="small" tone="soft" className="px-2">
          {words('ladder.settle-insects', { count: insects, hook: hookName(first!) })}
        </Say>
      ) : null}
      {open ? (
        <Say size="small" tone="straw" className="px-2">
          {words('ladder.settle-legend')}
        </Say>
      ) : null}
      {models.length > best.length ? (
        <Button
          kind="quiet"
          label={words(all ? 'ladder.best' : 'ladder.all', { count: models.length })}
          className="self-start"
          onPress={() => setAll(!all)}
        />
      ) : null}
    </View>
  );
}
