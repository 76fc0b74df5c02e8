import { useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { FIBRE_DENSITY } from '@/core/constants';
import type { Dressing } from '@/core/dressings';
import { calledHeld, everyHeld, hexHeld, type Held } from '@/core/materials';
import {
  denierOf,
  aughtOf,
  threadFacts,
  threadOnCard,
  threadsThatServe,
  type Card,
  type ThreadFacts,
  type ThreadVerdict,
} from '@/core/tying';
import { swapMaterial, type AnswerRecord } from '@/records';
import { useAct, useApp } from '@/state';
import {
  selectAnswered,
  selectCardOf,
  selectCatalogue,
  selectDressing,
  selectHeld,
  selectNamed,
} from '@/state/answering';
import { matchTitle } from '@/features/matches';
import { Page, useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Field, Fold, Heading, Pick, Say } from '@/ui/primitives';
import { THREAD_TIMES, ThreadEnds } from '@/ui/drawings';
import { useNewestCards } from './newest-cards';

/** The choice of the dressing that the page was opened from. */
const OF_DRESSING = 'dressing';
const SOLD = 6;
const ENDS = { width: 96, height: 24 } as const;
const TONE = { serves: 'sedge', care: 'straw', no: 'dawn' } as const;
const FIBRES = ['nylon', 'polyester', 'gel-spun'] as const;

const isThread = ({ material }: Held) => material.functions.includes('thread') && threadFacts(material) !== null;

/** The newest matches that have a fly, by name. */
function useFlies(): { id: string; label: string }[] {
  const words = useWords();
  const speech = useSpeech();
  const matches = useApp((state) => state.records.entities.match);
  const { ids, cards } = useNewestCards();
  return ids.flatMap((id, at) => {
    const card = cards[at];
    return card ? [{ id, label: speech.beside([card.dressing.name, matchTitle(matches[id]!, speech, words)]) }] : [];
  });
}

/** Which thread: what a fly asks of its thread and which of yours serve; every thread in figures that can be compared; what a label means. */
export function ThreadsScreen() {
  const words = useWords();
  const { match: asked, dressing: written } = useLocalSearchParams<{ match?: string; dressing?: string }>();
  const own = useApp((state) => selectDressing(state, written));
  const held = useApp(selectHeld);
  const named = useApp(selectNamed);
  const flies = useFlies();
  const [picked, setPicked] = useState<string | null | undefined>(undefined);
  const first = own ? OF_DRESSING : ((flies.find(({ id }) => id === asked) ?? flies[0])?.id ?? null);
  const chosen = picked === undefined ? first : picked;
  const choices = own ? [{ id: OF_DRESSING, label: own.name }, ...flies] : flies;
  const all = useMemo(() => everyHeld(named).filter(isThread), [named]);
  const mine = useMemo(() => held?.filter(isThread) ?? null, [held]);
  return (
    <Page
      column="list"
      back={{ href: '/drawer/materials', label: words('stash.title') }}
      title={words('threads.title')}
      lead={mine ? words('threads.lead', { count: mine.length }) : words('threads.lead-none')}
    >
      <View className="gap-3 px-5 pt-4">
        {choices.length > 0 ? (
          <Pick
            label={words('threads.for')}
            choices={choices}
            value={chosen}
            none={words('threads.no-fly')}
            onChange={setPicked}
          />
        ) : (
          <Say tone="soft">{words('threads.no-match')}</Say>
        )}
      </View>
      {chosen === OF_DRESSING && own ? (
        <ForDressing dressing={own} mine={mine} all={all} />
      ) : chosen ? (
        <ForMatch matchId={chosen} mine={mine} all={all} />
      ) : null}
      <View className="gap-1 pt-6">
        <Heading className="px-5">{words(mine && mine.length > 0 ? 'threads.yours' : 'threads.all')}</Heading>
        <Say size="small" tone="soft" className="px-5 pb-2">
          {words('threads.drawn', { times: THREAD_TIMES })}
        </Say>
        <ThreadList held={mine && mine.length > 0 ? mine : all} />
      </View>
      <Label />
    </Page>
  );
}

/** A thread's figures in one line: label, round, flat, what it holds. */
function useFigures() {
  const words = useWords();
  const speech = useSpeech();
  return ({ aught, roundMm, flat, grams, denier }: ThreadFacts) =>
    speech.beside([
      words('threads.denier', { denier }),
      aught !== null && words('threads.aught', { aught }),
      words('threads.round', { mm: speech.number(roundMm, 2) }),
      words('threads.flat', { mm: speech.number(flat.thickMm, 3) }),
      words('threads.holds', { low: Math.round(grams[0]), high: Math.round(grams[1]) }),
    ]);
}

function Ends({ facts: { roundMm, flat }, hex }: { facts: ThreadFacts; hex: string }) {
  const red = useRedLamp();
  return <ThreadEnds roundMm={roundMm} {...flat} colour={red ? null : hex} {...ENDS} />;
}

function ThreadList({ held }: { held: readonly Held[] }) {
  const words = useWords();
  const figures = useFigures();
  // One of each: its shades differ in nothing but colour.
  const kinds = [...new Map(held.map((own) => [own.material.id, own])).values()]
    .map((own) => ({ own, facts: threadFacts(own.material)! }))
    .sort((a, b) => a.facts.solidMm - b.facts.solidMm || a.own.material.id.localeCompare(b.own.material.id));
  return (
    <View role="list" aria-label={words('threads.title')} className="border-t border-line">
      {kinds.map(({ own, facts }) => (
        <View
          key={own.material.id}
          role="listitem"
          className="flex-row items-center gap-3 border-b border-line px-5 py-2"
        >
          <View className="min-w-0 flex-1">
            <Say>{own.material.name}</Say>
            <Say size="small" tone="soft">
              {figures(facts)}
            </Say>
          </View>
          <Ends facts={facts} hex={hexHeld(own)} />
        </View>
      ))}
    </View>
  );
}

interface Threads {
  mine: readonly Held[] | null;
  all: readonly Held[];
}

/** Of a match's fly on its hook. */
function ForMatch({ matchId, ...threads }: Threads & { matchId: string }) {
  const match = useApp((state) => state.records.entities.match[matchId]);
  const answered = useApp((state) => (match ? selectAnswered(state, matchId, match.leading) : null));
  const card = answered?.status === 'answered' ? answered.answer.card : null;
  const dressing = useApp((state) => selectDressing(state, card?.dressing.id));
  const record = match?.answers.find(({ id }) => id === match.leading);
  return card && dressing && record ? <ForFly {...threads} {...{ dressing, card }} of={{ matchId, record }} /> : null;
}

/** Of a dressing on a maker-less hook for the middle of its range. */
function ForDressing({ dressing, ...threads }: Threads & { dressing: Dressing }) {
  const card = useApp(selectCardOf)(dressing.id);
  return card ? <ForFly {...threads} {...{ dressing, card }} of={null} /> : null;
}

interface FlyProps extends Threads {
  dressing: Dressing;
  card: Card;
  /** The match whose card can be tied in another; null for a dressing alone. */
  of: { matchId: string; record: AnswerRecord } | null;
}

/** What a fly on its hook asks of each of its threads, and which serve. */
function ForFly(props: FlyProps) {
  const { dressing } = props;
  const words = useWords();
  if (dressing.threads.length === 0) return <Say className="px-5 py-4">{words('threads.wire')}</Say>;
  return (
    <>
      {dressing.threads.length > 1 ? (
        <Say size="small" className="px-5 pt-4">
          {words('threads.two', { count: dressing.threads.length })}
        </Say>
      ) : null}
      {dressing.threads.map((thread) => (
        <OneThread key={`${thread.role} ${thread.material}`} {...props} thread={thread} />
      ))}
    </>
  );
}

function OneThread({ of, dressing, thread, card, mine, all }: FlyProps & { thread: Dressing['threads'][number] }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { materials } = useApp(selectCatalogue);
  const judged = useMemo(() => {
    const on = threadOnCard(card);
    const own = materials.find(({ id }) => id === thread.material);
    const judge = (held: readonly Held[]) => threadsThatServe(dressing, thread, on, held, materials);
    const had = new Set((mine ?? []).map((own) => calledHeld(own).id));
    const yours = judge(mine ?? []);
    return {
      serve: yours.filter(({ serves }) => serves !== 'no'),
      not: yours.filter(({ serves }) => serves === 'no'),
      sold: judge(all.filter((own) => !had.has(calledHeld(own).id))).slice(0, SOLD),
      written: own ? (judge([{ material: own, shade: null, hex: null }])[0] ?? null) : null,
    };
  }, [all, card, dressing, materials, mine, thread]);
  const line = card.materials.find(({ asked }) => asked === thread.material);
  const name = materials.find(({ id }) => id === thread.material)?.name ?? thread.material;
  const take = (by: string) =>
    of &&
    act(swapMaterial, {
      matchId: of.matchId,
      answerId: of.record.id,
      dressing: dressing.id,
      material: thread.material,
      by: by === thread.material && line?.as !== 'shade' && line?.as !== 'substitute' ? null : by,
    });
  const row = (verdict: ThreadVerdict) => (
    <Verdict
      key={verdict.id}
      verdict={verdict}
      used={of !== null && line?.used === verdict.id}
      onTake={of && (() => take(verdict.id))}
    />
  );
  const head = judged.written?.head ?? null;
  return (
    <View className="gap-2 pt-5">
      <View className="px-5">
        <Heading>{name}</Heading>
        <Say size="small" tone="soft">
          {speech.beside([
            words(`threads.role.${thread.role}`),
            head && words('threads.head', { count: head.turns, budget: head.budget }),
          ])}
        </Say>
      </View>
      {mine === null ? null : judged.serve.length === 0 ? (
        <Say className="px-5" tone="dawn">
          {words('threads.none-serves')}
        </Say>
      ) : (
        <View role="list" aria-label={words('threads.yours-for', { thread: name })} className="border-t border-line">
          {judged.serve.slice(0, SOLD).map(row)}
        </View>
      )}
      <View className="px-5">
        {judged.serve.length > SOLD ? (
          <Fold title={words('threads.more', { count: judged.serve.length - SOLD })}>
            <View className="-mx-5">{judged.serve.slice(SOLD).map(row)}</View>
          </Fold>
        ) : null}
        {judged.not.length > 0 ? (
          <Fold title={words('threads.not', { count: judged.not.length })}>
            <View className="-mx-5">{judged.not.map(row)}</View>
          </Fold>
        ) : null}
        <Fold title={words('ready.sold')} line={words('threads.sold-line')}>
          <View className="-mx-5">{judged.sold.map(row)}</View>
        </Fold>
      </View>
    </View>
  );
}

function Verdict({ verdict, used, onTake }: { verdict: ThreadVerdict; used: boolean; onTake: (() => void) | null }) {
  const words = useWords();
  const speech = useSpeech();
  const figures = useFigures();
  const { name, facts, serves, reasons } = verdict;
  return (
    <View role="listitem" className="gap-1 border-b border-line px-5 py-3">
      <View className="flex-row items-start gap-3">
        <View className="min-w-0 flex-1">
          <Say weight="medium">{name}</Say>
          <Say size="small" weight="medium" tone={TONE[serves]}>
            {words(`threads.serves.${serves}`)}
          </Say>
        </View>
        <Ends facts={facts} hex={verdict.hex} />
      </View>
      <Say size="small" tone="soft">
        {figures(facts)}
      </Say>
      {reasons.length > 0 ? <Say size="small">{speech.clauses(reasons.map((why) => speech.say(why)))}</Say> : null}
      {serves === 'no' || (!used && !onTake) ? null : used ? (
        <Say size="small" tone="river" weight="medium">
          {words('threads.in-use')}
        </Say>
      ) : (
        <Button
          label={words('in-use.take')}
          spoken={words('in-use.take-what', { name })}
          onPress={onTake!}
          className="self-start"
        />
      )}
    </View>
  );
}

/** The number on a spool, for the fibre it is of, as denier and millimetres; and the same thickness in the other fibres. */
function Label() {
  const words = useWords();
  const speech = useSpeech();
  const [fibre, setFibre] = useState<(typeof FIBRES)[number]>('nylon');
  const [text, setText] = useState('8');
  const figures = useFigures();
  const label = /^\s*(\d{1,2})\s*(?:\/\s*0)?\s*$/.exec(text);
  const denier = label ? denierOf(Number(label[1]), fibre) : null;
  const facts = denier === null ? null : threadFacts({ denier, fibre });
  const fault =
    text.trim() === ''
      ? null
      : label === null
        ? words('threads.label-wrong')
        : denier === null
          ? words('threads.label-beyond')
          : null;
  return (
    <View className="gap-3 px-5 py-6">
      <Heading>{words('threads.label')}</Heading>
      <Say size="small" tone="soft">
        {words('threads.label-why')}
      </Say>
      <Choose
        label={words('threads.fibre-of')}
        choices={FIBRES.map((id) => ({ id, label: words(`threads.fibre.${id}`) }))}
        value={fibre}
        onChange={setFibre}
      />
      <View className="max-w-64 flex-row">
        <Field label={words('threads.label-field')} value={text} onType={setText} error={fault} />
      </View>
      {facts ? (
        <View aria-live="polite" className="gap-1">
          <Say weight="medium">{figures(facts)}</Say>
          {FIBRES.filter((id) => id !== fibre).map((id) => {
            const same = Math.round(facts.denier * (FIBRE_DENSITY[id] / FIBRE_DENSITY[fibre]));
            const aught = aughtOf(same, id);
            return (
              <Say key={id} size="small" tone="soft">
                {speech.beside([
                  words('threads.as-thick', { fibre: words(`threads.fibre.${id}`), denier: same }),
                  aught !== null && words('threads.aught', { aught }),
                ])}
              </Say>
            );
          })}
        </View>
      ) : null}
    </View>
  );
}
