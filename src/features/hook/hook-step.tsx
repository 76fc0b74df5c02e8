import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { BarbRuleId, IntentId } from '@/catalogue/ids';
import {
  ANY_KIND,
  holdsOfHook,
  insectsToSettle,
  measuresToSettle,
  narrowed,
  nearestOfMaker,
  railOf,
  type Answer,
  type HookAnswer,
} from '@/core/answer';
import { NUMBER_STEP } from '@/core/constants';
import { reads, type Hook } from '@/core/hooks';
import type { Quantity } from '@/core/quantity';
import type { Speech } from '@/speech';
import { pinHook, setOffset, setSettings, type AnswerRecord, type SampleRecord } from '@/records';
import { selectSettings, useAct, useApp } from '@/state';
import { Measured, useSpeech, useWide, useWords } from '@/features/shell';
import { Term } from '@/features/glossary';
import { WaterSays } from '@/features/out';
import { hookName, offDigits } from '@/features/matches';
import { Button, Choose, Digits, Fold, Heading, Pick, Row, Say, Toggle } from '@/ui/primitives';
import { OnlyOwned } from './only-owned';
import { HookDimensions, HookReasons } from './hook-detail';
import { HowFar } from './how-far';
import { KindFilter } from './kind-filter';
import { MatchLadder } from './match-ladder';

interface HookStepProps {
  matchId: string;
  record: AnswerRecord;
  sample: SampleRecord;
  answer: Answer;
}

function usePinHook(matchId: string, answerId: string): (hookId: string | null) => void {
  const act = useAct();
  return (hookId) => void act(pinHook, { matchId, answerId, hookId });
}

/** Hooks of every maker for this natural: the ladder, the rung that was tapped, and the same as a table; all of them, or some kinds only. */
export function HookStep({ matchId, record, sample, answer: whole }: HookStepProps) {
  const [kinds, setKinds] = useState(ANY_KIND);
  const any = Object.values(kinds).every((kind) => kind === null);
  const answer = useMemo(() => (any ? whole : narrowed(whole, kinds)), [any, kinds, whole]);
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const [tapped, setTapped] = useState<string | null>(null);
  const [everyMaker, setEveryMaker] = useState(false);
  const [all, setAll] = useState(false);
  const listed = answer.hooks.slice(0, LISTED).filter(isWorthShowing);
  const wide = useWide();
  const pin = usePinHook(matchId, record.id);
  const first = answer.hooks[0];
  const { columns } = answer.ladder;
  const chosen = useMemo(() => {
    const row = tapped === null ? undefined : columns.at.get(tapped);
    return (
      answer.hooks.find((hook) => hook.id === tapped) ??
      (row === undefined ? undefined : railOf(answer.ladder, columns.model[row]!).find((hook) => hook.id === tapped)) ??
      first
    );
  }, [answer, columns, first, tapped]);
  const settled = useMemo(
    () => (chosen ? measuresToSettle(answer.ladder, columns.model[columns.at.get(chosen.id)!]!) : null),
    [answer, chosen, columns],
  );
  const insects = useMemo(
    () => (chosen ? insectsToSettle(answer, columns.model[columns.at.get(chosen.id)!]!) : null),
    [answer, chosen, columns],
  );
  const makers = useMemo(
    () =>
      Object.values(answer.by_maker)
        .slice(0, everyMaker ? undefined : MAKERS_SHOWN)
        .flatMap((hook) => nearestOfMaker(answer.ladder, hook.maker, PER_MAKER)),
    [answer, everyMaker],
  );
  const setSizes = (sizes: number, intent: IntentId | null) =>
    act(setOffset, { matchId, answerId: record.id, sizes, intent });
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
          {BY_WATER[warning.code] ? (
            <Button
              kind="quiet"
              className="-ml-4 self-start"
              label={words(BY_WATER[warning.code]! > 0 ? 'hook.take-larger' : 'hook.take-smaller', {
                count: Number(warning.params.sizes),
              })}
              onPress={() => setSizes(BY_WATER[warning.code]! * Number(warning.params.sizes), null)}
            />
          ) : null}
        </View>
      ))}
      <View className="gap-3">
        {first ? (
          <View className="px-3">
            <MatchLadder
              on={wide ? 'ground' : 'plane'}
              answer={answer}
              chosen={chosen?.id ?? null}
              onRung={setTapped}
            />
          </View>
        ) : (
          <Say className="px-5" tone="soft">
            {words('hook.no-hooks')}
          </Say>
        )}
        <KindFilter kinds={kinds} onChange={setKinds} />
      </View>
      {chosen ? (
        <View aria-live="polite" className="gap-4 border-y border-line bg-plane px-5 py-4">
          <View className="flex-row items-start justify-between gap-3">
            <View className="min-w-0 flex-1">
              <Heading>{hookName(chosen)}</Heading>
              <View className="flex-row flex-wrap items-baseline gap-x-3">
                <Measured
                  what={words('hook.reads')}
                  quantity={readingOf(columns.hooks[columns.at.get(chosen.id)!]!)}
                  as={{ decimals: 1 }}
                />
                <Term id="reads">
                  {words('hook.reads-both', {
                    long: speech.number(chosen.reads, 1),
                    wide: speech.number(chosen.reads_gape, 1),
                  })}
                </Term>
              </View>
              <Term id="chance">{`${words('hook.chance')} ${Math.round(chosen.probability! * 100)} %`}</Term>
            </View>
            <Toggle
              label={words(chosen.pinned ? 'hook.unpin' : 'hook.pin')}
              spoken={`${words(chosen.pinned ? 'hook.unpin' : 'hook.pin')} ${hookName(chosen)}`}
              on={chosen.pinned}
              onChange={(on) => pin(on ? chosen.id : null)}
            />
          </View>
          {chosen.id === whole.hooks[0]?.id ? <HowFar answer={answer} /> : null}
          {settled && settled.measures !== 0 ? (
            <Say size="small" tone="straw">
              {settled.measures === null
                ? `${words('hook.settle-none', { percent: Math.round(settled.after * 100) })} ${insects === null ? words('hook.insects-none') : words('hook.insects', { count: insects })}`
                : words('hook.settle', {
                    count: settled.measures,
                    sizes: speech.list(settled.sizes),
                    percent: Math.round(settled.after * 100),
                  })}
            </Say>
          ) : null}
          <WaterSays sample={sample} hook={{ ...columns.hooks[columns.at.get(chosen.id)!]!, name: hookName(chosen) }} />
          <HookDimensions hook={chosen} />
          <HookReasons hook={chosen} />
        </View>
      ) : null}
      <View>
        <Heading className="px-5">{words('hook.all')}</Heading>
        <Say size="small" tone="soft" className="px-5 pb-2">
          {words('hook.chance-means')}
        </Say>
        <HookTable hooks={listed.slice(0, all ? LISTED : FIRST_LISTED)} answer={answer} onPick={setTapped} />
        {listed.length > FIRST_LISTED ? (
          <Button
            kind="quiet"
            label={words(all ? 'hook.fewer-hooks' : 'hook.more-hooks', { count: listed.length - FIRST_LISTED })}
            className="self-start"
            onPress={() => setAll(!all)}
          />
        ) : null}
        <Fold wide title={words('hook.by-maker')} line={speech.list(makersOf(answer))}>
          <View className="-mx-5">
            <HookTable hooks={makers} answer={answer} onPick={setTapped} />
          </View>
          {Object.keys(answer.by_maker).length > MAKERS_SHOWN ? (
            <Button
              kind="quiet"
              label={words(everyMaker ? 'hook.fewer-makers' : 'hook.more-makers', {
                count: Object.keys(answer.by_maker).length,
              })}
              className="self-start"
              onPress={() => setEveryMaker(!everyMaker)}
            />
          ) : null}
        </Fold>
        <HookRules record={record} onSizes={setSizes} />
      </View>
    </View>
  );
}

/** A hook that a tier would take: likely enough, pinned, or in the drawer. */
const isWorthShowing = (hook: HookAnswer, index: number) =>
  index < FIRST_HOOKS || hook.probability! >= LEAST_CHANCE || hook.pinned;

const makersOf = (answer: Answer) => [...new Set(Object.values(answer.by_maker).map((hook) => hook.maker_name))];

/** What is asked of a hook beside its length: the water's rule, a size on purpose, the smallest worth tying. */
function HookRules({
  record,
  onSizes,
}: {
  record: AnswerRecord;
  onSizes: (sizes: number, intent: IntentId | null) => void;
}) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const act = useAct();
  const { barbRule, smallest, schools, onlyOwned } = useApp(selectSettings);
  const least = smallest === null || smallest === undefined ? null : String(smallest);
  return (
    <Fold
      wide
      title={words('hook.rules')}
      line={speech.beside([
        words('hook.rule-barb', { rule: speech.plain('barb-rules', barbRule) }),
        words(`hook.offset-word.${record.offset.sizes}`),
        least && words('hook.rule-smallest', { size: least }),
        onlyOwned && words('drawer.only-owned'),
      ])}
    >
      <View className="flex-row flex-wrap gap-4">
        <Pick
          label={words('hook.barb')}
          choices={ids['barb-rules'].map((rule) => ({
            id: rule.id as BarbRuleId,
            label: speech.name('barb-rules', rule.id),
          }))}
          value={barbRule}
          onChange={(id) => act(setSettings, { barbRule: id! })}
        />
        <Pick
          label={words('hook.smallest')}
          none={words('drawer.any')}
          choices={SMALLEST.map((id) => ({ id: id as string, label: id }))}
          value={least}
          onChange={(id) => act(setSettings, { smallest: id === null ? null : Number(id) })}
        />
      </View>
      {barbRule === 'any' ? null : (
        <Say size="small" tone="soft">
          {words('hook.barb-caution')}
        </Say>
      )}
      <Say size="small" tone="soft">
        {words('hook.offset')}
      </Say>
      <Choose
        label={words('hook.offset')}
        choices={OFFSETS.map((id) => ({ id: id as string, label: words(`hook.offset-word.${id}`) }))}
        value={String(record.offset.sizes)}
        onChange={(id) => onSizes(Number(id), null)}
      />
      {record.offset.sizes === 0 ? null : (
        <View className="max-w-96 flex-row">
          <Pick
            label={words('hook.intent')}
            choices={ids.intents
              .filter((intent) => intent.id !== 'exact')
              .map((intent) => ({ id: intent.id as IntentId, label: intent.name }))}
            value={record.offset.intent}
            onChange={(intent) => intent && onSizes(record.offset.sizes, intent)}
          />
        </View>
      )}
      <View className="flex-row flex-wrap items-end gap-4">
        <Pick
          label={words('hook.eye-reading')}
          choices={ids.schools
            .find((school) => school.id === 'eye-reading')!
            .options.map((option) => ({ id: option.id, label: option.name }))}
          value={schools['eye-reading'] ?? 'default'}
          onChange={(id) => act(setSettings, { schools: { ...schools, 'eye-reading': id! } })}
        />
        <OnlyOwned />
      </View>
    </Fold>
  );
}

/** What a water asks of the size, as a direction. */
const BY_WATER: Readonly<Record<string, 1 | -1>> = { 'size-larger-water': 1, 'size-smaller-water': -1 };
const LISTED = 20;
const FIRST_LISTED = 8;
/** Rows that stand whatever their chance, and the least chance of those after them. */
const FIRST_HOOKS = 5;
const LEAST_CHANCE = 0.05;
const MAKERS_SHOWN = 8;
const PER_MAKER = 3;
const OFFSETS = ['-2', '-1', '0', '1', '2'] as const;
const SMALLEST = ['16', '18', '20', '22', '24', '26'] as const;

/** What a hook reads, with the ± of its shank. */
function readingOf(hook: Hook): Quantity {
  return {
    value: reads(hook.shank.value),
    sd: hook.shank.sd === null ? null : hook.shank.sd / hook.shank.value / NUMBER_STEP,
    source: hook.shank.source,
  };
}

/** Hooks as a table: maker and model, size, how far off, the chance. */
function HookTable({
  hooks,
  answer,
  onPick,
}: {
  hooks: readonly HookAnswer[];
  answer: Answer;
  onPick: (id: string) => void;
}) {
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
            <Row
              wide={false}
              line={false}
              spoken={speech.list([hookName(hook), speech.length(hook.carry_mm)])}
              onPress={() => onPick(hook.id)}
            >
              <View className="min-w-0 flex-1">
                <Say weight="strong" size="small">
                  {`${hook.maker_name} ${hook.model_name}`}
                </Say>
                <Say size="small" tone="soft">
                  {speech.beside([
                    heldOf(answer, hook, speech),
                    hook.pinned ? words('hook.pinned') : '',
                    hook.owned > 0 ? words('hook.in-drawer', { count: hook.owned }) : '',
                  ])}
                </Say>
              </View>
            </Row>
          </View>
          <View role="cell" className="w-14 items-end">
            <Digits strong>{hook.size}</Digits>
          </View>
          <View role="cell" className="w-16 items-end">
            <Digits tone="soft">{offDigits(hook.length_steps!, speech)}</Digits>
          </View>
          <View role="cell" className="w-16 items-end">
            <Digits tone="soft">{`${Math.round(hook.probability! * 100)}%`}</Digits>
          </View>
        </View>
      ))}
    </View>
  );
}

/** The lengths a hook holds between, short. */
function heldOf(answer: Answer, hook: HookAnswer, speech: Speech): string {
  const { low_mm, high_mm, below, above } = holdsOfHook(answer, hook);
  const digits = (mm: number) => speech.digits(mm);
  return below === null && above === null
    ? ''
    : speech.t('ui.hook.held', {
        low: below === null ? '' : digits(low_mm),
        high: above === null ? '' : digits(high_mm),
      });
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
