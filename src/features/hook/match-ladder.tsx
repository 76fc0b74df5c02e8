import { View } from 'react-native';
import type { Answer, HookAnswer } from '@/core/answer';
import { formatLength } from '@/core/units';
import { useSpeech, useWidth, useWords } from '@/features/shell';
import { Ladder, type Rail } from '@/ui/drawings';

/** The ladder of a match: the best model of every maker, rungs at what each size carries in the style in use. */
export function MatchLadder({ answer, chosen, onRung }: { answer: Answer; chosen: string | null; onRung: (id: string) => void }) {
  const speech = useSpeech();
  const words = useWords();
  const [width, onLayout] = useWidth();
  const lit = new Set(Object.values(answer.by_maker).map((hook) => hook.id));
  const rails = Object.values(answer.by_maker).map((best): Rail => {
    const model = answer.hooks.filter((hook) => hook.maker === best.maker && hook.model === best.model).sort((a, b) => a.carry_mm - b.carry_mm);
    return { id: `${best.maker}:${best.model}`, maker: best.maker_name, model: best.model_name, rungs: model.map((hook) => ({ id: hook.id, size: hook.size, mm: hook.carry_mm, lit: lit.has(hook.id), owned: hook.owned > 0, about: hook.estimated.includes('shank_mm'), pinned: hook.pinned })) };
  });
  const half = Math.max(1.96 * answer.natural.length.seMm * (answer.target_mm / answer.natural.length.meanMm), answer.target_mm * 0.02);
  const nearest = Object.values(answer.by_maker).map((hook) => hook.carry_mm);
  const low = Math.min(answer.target_mm * 0.68, ...nearest) * 0.98;
  const high = Math.max(answer.target_mm * 1.42, ...nearest) * 1.02;
  const best = answer.hooks[0];
  return (
    <View onLayout={onLayout}>
      {width > 0 ? (
        <Ladder
          label={words('ladder.label', { count: rails.length, unit: speech.unit === 'mm' ? speech.t('unit.mm') : speech.t('unit.in'), target: speech.length(answer.target_mm), best: best ? `${best.maker_name} ${best.size}` : '' })}
          width={width}
          rails={rails}
          band={{ mm: answer.target_mm, half, digits: formatLength(answer.target_mm, speech.unit).digits }}
          domain={[low, high]}
          tick={(mm) => (speech.unit === 'mm' ? String(Number(mm.toFixed(1))) : formatLength(mm, speech.unit).digits)}
          unit={speech.unit === 'mm' ? speech.t('unit.mm') : speech.t('unit.in')}
          chosen={chosen}
          onRung={onRung}
        />
      ) : null}
    </View>
  );
}

export type { HookAnswer };
