import { useState } from 'react';
import { Pressable, View } from 'react-native';
import ids from '@/catalogue/ids.json';
import type { BarbRuleId } from '@/catalogue/ids';
import type { Answer, HookAnswer } from '@/core/answer';
import { SD_STEPS } from '@/core/constants';
import { change, selectSettings, SETTINGS_ID, settingsSchema, useApp, useAppDispatch, type AnswerRecord, type Entities } from '@/state';
import { Measured, useSpeech, useWords } from '@/features/shell';
import { hookName, offDigits } from '@/features/matches';
import { Chips, Digits, Heading, Say, Toggle } from '@/ui/primitives';
import { HookDimensions, HookReasons } from './hook-detail';
import { HowFar } from './how-far';
import { MatchLadder } from './match-ladder';

interface HookStepProps {
  matchId: string;
  record: AnswerRecord;
  answer: Answer;
}

export function usePinHook(matchId: string, answerId: string): (hookId: string | null) => void {
  const dispatch = useAppDispatch();
  return (hookId) => dispatch(change(hookId ? 'pin-hook' : 'unpin-hook', (draft: Entities) => {
    draft.match[matchId]!.answers.find((item) => item.id === answerId)!.hookId = hookId;
  }));
}

/** Hooks of every maker for this natural: the ladder, the rung that was tapped, and the same as a table. */
export function HookStep({ matchId, record, answer }: HookStepProps) {
  const words = useWords();
  const speech = useSpeech();
  const dispatch = useAppDispatch();
  const { barbRule } = useApp(selectSettings);
  const [tapped, setTapped] = useState<string | null>(null);
  const pin = usePinHook(matchId, record.id);
  const first = answer.hooks[0];
  const chosen = answer.hooks.find((hook) => hook.id === tapped) ?? first;
  return (
    <View className="gap-6 py-4">
      {answer.none_fits ? (
        <View className="mx-5 border-l-4 border-dawn pl-3">
          <Say weight="medium">{speech.say(answer.none_fits.message)}</Say>
        </View>
      ) : null}
      {answer.warnings.map((warning, index) => (
        <View key={index} className="mx-5 border-l-4 border-straw pl-3">
          <Say size="small">{speech.say(warning)}</Say>
        </View>
      ))}
      {first ? (
        <View className="px-3">
          <MatchLadder answer={answer} chosen={chosen?.id ?? null} onRung={setTapped} />
        </View>
      ) : null}
      {chosen ? (
        <View aria-live="polite" className="gap-4 border-y border-line bg-plane px-5 py-4">
          <View className="flex-row items-start justify-between gap-3">
            <View className="min-w-0 flex-1">
              <Heading>{hookName(chosen)}</Heading>
              <View className="flex-row flex-wrap items-baseline gap-x-3">
                <Measured what={words('hook.reads')} quantity={{ value: chosen.reads, sd: chosen.estimated.includes('shank_mm') ? SD_STEPS.about : SD_STEPS.known, source: chosen.estimated.includes('shank_mm') ? 'label' : 'measured' }} as={{ decimals: 1 }} />
                <Say size="small" tone="soft">
                  {words('hook.reads-both', { long: chosen.reads.toFixed(1), wide: chosen.reads_gape.toFixed(1) })}
                </Say>
              </View>
              <Say size="small" tone="soft">
                {`${words('hook.chance')} ${Math.round(chosen.probability! * 100)} %`}
              </Say>
            </View>
            <Toggle label={words(chosen.pinned ? 'hook.unpin' : 'hook.pin')} spoken={`${words(chosen.pinned ? 'hook.unpin' : 'hook.pin')} ${hookName(chosen)}`} on={chosen.pinned} onChange={(on) => pin(on ? chosen.id : null)} />
          </View>
          {chosen.id === first!.id ? <HowFar answer={answer} /> : null}
          <HookDimensions hook={chosen} />
          <HookReasons hook={chosen} />
        </View>
      ) : null}
      <View className="gap-3 px-5">
        <Heading size="small" level={3}>{words('hook.barb')}</Heading>
        <Chips compact label={words('hook.barb')} choices={ids['barb-rules'].map((rule) => ({ id: rule.id as BarbRuleId, label: speech.name('barb-rules', rule.id) }))} value={barbRule} onChange={(id) => dispatch(change('barb', (draft) => {
          draft.settings[SETTINGS_ID] = { ...settingsSchema.cast({}), ...draft.settings[SETTINGS_ID], barbRule: id };
        }))} />
        {barbRule === 'any' ? null : (
          <Say size="small" tone="soft">
            {words('hook.barb-caution')}
          </Say>
        )}
        <Heading size="small" level={3}>{words('hook.offset')}</Heading>
        <Chips compact label={words('hook.offset')} choices={['-1', '0', '1'].map((id) => ({ id, label: words(`hook.offset-word.${id}`) }))} value={String(record.offset.sizes)} onChange={(id) => dispatch(change('offset', (draft) => {
          const sizes = Number(id);
          draft.match[matchId]!.answers.find((item) => item.id === record.id)!.offset = { sizes, intent: sizes === 0 ? 'exact' : sizes > 0 ? 'bigger' : 'smaller' };
        }))} />
      </View>
      <View className="gap-2">
        <Heading className="px-5">{words('hook.by-maker')}</Heading>
        <HookTable hooks={Object.values(answer.by_maker)} onPick={setTapped} />
      </View>
      <View className="gap-2">
        <Heading className="px-5">{words('hook.all')}</Heading>
        <HookTable hooks={answer.hooks.slice(0, LISTED)} onPick={setTapped} />
      </View>
    </View>
  );
}

const LISTED = 20;

/** Hooks as a table: maker and model, size, how far off, the chance. */
export function HookTable({ hooks, onPick }: { hooks: readonly HookAnswer[]; onPick: (id: string) => void }) {
  const words = useWords();
  const speech = useSpeech();
  return (
    <View role="table" aria-label={words('hook.table')} className="border-t border-line">
      <View role="row" className="flex-row gap-3 border-b border-line px-5 py-2">
        <Cell head grow text={words('hook.maker')} />
        <Cell head text={words('hook.size')} />
        <Cell head text={words('hook.difference')} />
        <Cell head text={words('hook.chance')} />
      </View>
      {hooks.map((hook) => (
        <View key={hook.id} role="row" className="flex-row items-center gap-3 border-b border-line px-5">
          <View role="cell" className="min-w-0 flex-1">
            <Pressable role="button" aria-label={`${hookName(hook)}, ${speech.length(hook.carry_mm)}`} onPress={() => onPick(hook.id)} className="min-h-target justify-center py-1">
              <Say weight="strong" size="small" lines={1}>
                {hook.maker_name}
              </Say>
              <Say size="small" tone="soft" lines={1}>
                {`${hook.model_name}${hook.pinned ? ` · ${words('hook.pinned')}` : ''}${hook.owned > 0 ? ` · ${hook.owned}` : ''}`}
              </Say>
            </Pressable>
          </View>
          <View role="cell" className="w-14 items-end">
            <Digits strong>{hook.size}</Digits>
          </View>
          <View role="cell" className="w-16 items-end">
            <Digits tone="soft">{offDigits(hook.length_steps!)}</Digits>
          </View>
          <View role="cell" className="w-16 items-end">
            <Digits tone="soft">{`${Math.round(hook.probability! * 100)}%`}</Digits>
          </View>
        </View>
      ))}
    </View>
  );
}

function Cell({ text, head, grow }: { text: string; head?: boolean; grow?: boolean }) {
  return (
    <View role={head ? 'columnheader' : 'cell'} className={grow ? 'min-w-0 flex-1' : 'w-16 items-end'}>
      <Say size="small" tone="soft" lines={1}>
        {text}
      </Say>
    </View>
  );
}
