import { OnOutings } from '@/features/out';
import { useRouter } from 'expo-router';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { useEffect, useMemo, useRef, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import type { MatchRecord, SampleRecord } from '@/records';
import { noteAnswer, useAfterwards, useApp, useAppDispatch } from '@/state';
import { selectAnswered, type Answered } from '@/state/answering';
import { BenchStep } from '@/features/bench';
import { BoxAnswers, useBestFly } from '@/features/box';
import { AnswerPlate, CardColours, DressingStep } from '@/features/dressing';
import { HookStep, HowFar } from '@/features/hook';
import { hookName, lengthDetail, matchTitle, offDigits, placeLine, stepLines } from '@/features/matches';
import { NaturalStep } from '@/features/natural';
import { AfterHead, Missing, PageHeading, useRedLamp, useSpeech, useTitle, useWide, useWords } from '@/features/shell';
import { Button, Heading, OneStop, Option, Row, Say } from '@/ui/primitives';
import { token } from '@/ui/tokens';
import { ChangeNotice } from './change-notice';
import { MatchBar } from './match-bar';
import { STEPS, type Step } from './steps';
import { TwoAnswers } from './two-answers';

/** A match: five steps, always visible, never forced in order; each closed one shows its answer in a line. */
export function MatchScreen({ id, step }: { id: string; step: Step }) {
  const speech = useSpeech();
  const words = useWords();
  const wide = useWide();
  const dispatch = useAppDispatch();
  const match = useApp((state) => state.records.entities.match[id]);
  const sample = useApp((state) => (match ? state.records.entities.sample[match.sampleId] : undefined));
  const answered = useApp((state) => (match ? selectAnswered(state, id, match.leading) : null));
  const key = match ? `${id}/${match.leading}` : '';
  const of = useMemo(() => JSON.stringify([sample, match?.answers]), [sample, match?.answers]);
  const title = match ? matchTitle(match, speech, words) : words('missing.title');
  useTitle(match ? speech.list([title, words(`step.${step}`)]) : title);
  useEffect(() => {
    if (!key || answered?.status !== 'answered') return;
    const { answer } = answered;
    // After the answer itself is painted: what changed is told beside it.
    const later = setTimeout(
      () =>
        dispatch(
          noteAnswer({
            key,
            seen: {
              hook: answer.hooks[0] ? hookName(answer.hooks[0]) : null,
              dressing: answer.dressing?.name ?? null,
              of,
            },
          }),
        ),
      0,
    );
    return () => clearTimeout(later);
  }, [answered, dispatch, key, of]);
  if (!match || !sample || !answered) return <Missing what="match" list="/matches" />;
  const props: FrameProps = { id, step, match, sample, answered, title };
  return wide ? <WideFrame {...props} /> : <PhoneFrame {...props} />;
}

interface FrameProps {
  id: string;
  step: Step;
  match: MatchRecord;
  sample: SampleRecord;
  answered: Answered;
  title: string;
}

function leadingOf(match: MatchRecord) {
  return match.answers.find((item) => item.id === match.leading)!;
}

/** What a step shows when it is open. */
function StepBody({ id, step, match, sample, answered }: FrameProps) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const wide = useWide();
  const record = leadingOf(match);
  if (step === 'natural')
    return <NaturalStep key={id} matchId={id} match={match} sample={sample} answered={answered} />;
  if (step === 'water') {
    const dressing = answered.status === 'answered' ? answered.answer.card?.dressing.id : undefined;
    return (
      <>
        <BoxAnswers matchId={id} />
        {dressing ? <OnOutings dressingId={dressing} /> : null}
      </>
    );
  }
  if (answered.status === 'waiting') {
    return (
      <View className="items-start gap-3 px-5 py-6">
        <Say>{words(answered.missing === 'stage' ? 'step.waits-stage' : 'step.waits-length')}</Say>
        <Button
          kind="main"
          label={words(answered.missing === 'stage' ? 'step.give-stage' : 'step.give-length')}
          onPress={() => router.navigate({ pathname: '/matches/[id]/[step]', params: { id, step: 'natural' } })}
        />
      </View>
    );
  }
  const { answer } = answered;
  if (step === 'hook') return <HookStep matchId={id} record={record} sample={sample} answer={answer} />;
  if (step === 'dressing') return <DressingStep matchId={id} record={record} sample={sample} answer={answer} />;
  return (
    <BenchStep
      matchId={id}
      record={record}
      answer={answer}
      natural={[
        speech.list([matchTitle(match, speech, words), lengthDetail(answer, speech, words)]),
        placeLine(sample, speech.day(sample.when, true), speech),
      ]}
      plate={<AnswerPlate stage={record.stage ?? null} sample={sample} answer={answer} maxHeight={wide ? 460 : 250} />}
      colours={<CardColours matchId={id} record={record} sample={sample} answer={answer} />}
    />
  );
}

function MatchSubtitle({ sample, match }: { sample: SampleRecord; match: MatchRecord }) {
  const words = useWords();
  const speech = useSpeech();
  return (
    <Say size="small" tone="soft">
      {placeLine(sample, speech.beside([speech.day(sample.when, true), match.demo && words('matches.demo')]), speech)}
    </Say>
  );
}

/** Share of the screen's height below which an opened step is brought up. */
const SCROLL_FROM = 0.45;

function StepRow({
  id,
  step,
  head,
  detail,
  open,
  children,
  stacked = false,
}: {
  id: string;
  step: Step;
  head: string;
  detail: string;
  open: boolean;
  children?: ReactNode;
  stacked?: boolean;
}) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const go = () => router.navigate({ pathname: '/matches/[id]/[step]', params: { id, step } });
  const row = useRef<View>(null);
  // On a phone a step that opens far down is brought to the top: its answer is what was asked for.
  useEffect(() => {
    const element = row.current as unknown as HTMLElement | null;
    if (
      open &&
      !stacked &&
      step !== 'natural' &&
      element?.scrollIntoView &&
      element.getBoundingClientRect().top > SCROLL_FROM * window.innerHeight
    )
      element.scrollIntoView({ block: 'start' });
  }, [open, stacked, step]);
  return (
    <View ref={row} className={`border-b border-line ${open ? 'bg-plane' : ''}`}>
      <Row
        line={false}
        open={open}
        spoken={speech.pair(words(`step.${step}`), speech.sentences([head, detail]))}
        onPress={go}
      >
        <View className={`min-w-0 flex-1 ${stacked ? '' : 'flex-row gap-3'}`}>
          <Say
            size={stacked ? 'small' : 'body'}
            tone={open ? 'river' : 'soft'}
            weight={open ? 'strong' : 'sans'}
            className={stacked ? '' : 'min-w-24'}
          >
            {words(`step.${step}`)}
          </Say>
          <View className={stacked ? '' : 'min-w-0 flex-1'}>
            <Say weight="strong" lines={3}>
              {head}
            </Say>
            {detail ? (
              <Say size="small" tone="soft" lines={3}>
                {detail}
              </Say>
            ) : null}
          </View>
        </View>
        {!open && !stacked ? <ChevronRight size={20} color={token('soft')} aria-hidden /> : null}
      </Row>
      {open ? <AfterHead>{children}</AfterHead> : null}
    </View>
  );
}

/** Every step's line; the water's is the fly of the box to put on. */
function useStepLines(id: string, answered: Answered, stage: string | null) {
  const speech = useSpeech();
  const words = useWords();
  const best = useBestFly(id);
  return {
    ...stepLines(answered, stage, speech, words),
    water: { head: best?.name ?? words('box.nothing-carried'), detail: best?.detail ?? '' },
  };
}

function PhoneFrame(props: FrameProps) {
  const { id, step, match, sample, answered, title } = props;
  const record = leadingOf(match);
  const lines = useStepLines(id, answered, record.stage ?? null);
  const answer = answered.status === 'answered' ? answered.answer : null;
  const plate = useAfterwards(
    useMemo(() => ({ sample, answer: answer ? { ...answer, card: null } : null }), [answer, sample]),
  );
  return (
    <View className="min-h-0 flex-1">
      <ScrollView className="flex-1 bg-ground" contentContainerClassName="pb-8">
        <View className="px-5 pt-4">
          <MatchSubtitle sample={sample} match={match} />
          <PageHeading>{title}</PageHeading>
        </View>
        <ChangeNotice matchKey={`${id}/${match.leading}`} />
        {record.stage && (step === 'natural' || step === 'hook') ? (
          <AnswerPlate
            stage={record.stage}
            sample={plate.sample}
            answer={plate.answer}
            states="corner"
            maxHeight={step === 'natural' ? 190 : 150}
          />
        ) : null}
        {match.answers.length > 1 ? <TwoAnswers id={id} match={match} /> : null}
        <View className="border-t border-line">
          {STEPS.map((item) => (
            <StepRow
              key={item}
              id={id}
              step={item}
              head={lines[item].head}
              detail={lines[item].detail}
              open={item === step}
            >
              <StepBody {...props} />
            </StepRow>
          ))}
        </View>
      </ScrollView>
      <MatchBar matchId={id} step={step} />
    </View>
  );
}

function WideFrame(props: FrameProps) {
  const { id, step, match, sample, answered, title } = props;
  const speech = useSpeech();
  const words = useWords();
  const router = useRouter();
  const red = useRedLamp();
  const record = leadingOf(match);
  const lines = useStepLines(id, answered, record.stage ?? null);
  const answer = answered.status === 'answered' ? answered.answer : null;
  const plate = useAfterwards(useMemo(() => ({ sample, answer }), [answer, sample]));
  return (
    <View className="min-h-0 flex-1 flex-row bg-ground">
      <ScrollView className="w-column flex-none border-r border-line" contentContainerClassName="pb-8">
        <View className="px-5 pb-3 pt-5">
          <MatchSubtitle sample={sample} match={match} />
          <PageHeading size="title">{title}</PageHeading>
        </View>
        <View className="border-t border-line">
          <StepRow
            stacked
            id={id}
            step="natural"
            head={lines.natural.head}
            detail={lines.natural.detail}
            open={false}
          />
        </View>
        {match.answers.length > 1 ? <TwoAnswers id={id} match={match} /> : null}
        {Object.keys(sample.colours).length > 0 ? (
          <View className="gap-2 px-5 py-4">
            <Heading size="small">{words('natural.colours')}</Heading>
            {red ? (
              <Say size="small" tone="straw">
                {words('plate.red')}
              </Say>
            ) : null}
            {Object.entries(red ? {} : sample.colours).map(([region, hex]) => (
              <View key={region} className="flex-row items-center gap-3">
                <View
                  aria-hidden
                  style={{ backgroundColor: hex }}
                  className="h-7 w-14 rounded-control border border-edge"
                />
                <Say size="small">{speech.plain('regions', region)}</Say>
              </View>
            ))}
          </View>
        ) : null}
      </ScrollView>
      <ScrollView className="min-w-0 flex-1" contentContainerClassName="pb-8">
        <OneStop role="tablist" label={title} reached={step} className="flex-row border-b border-line px-3">
          {STEPS.map((item) => (
            <Option
              key={item}
              id={item}
              look="tab"
              on={item === step}
              onTake={() => router.navigate({ pathname: '/matches/[id]/[step]', params: { id, step: item } })}
            >
              <Say weight={item === step ? 'strong' : 'medium'} tone={item === step ? 'river' : 'soft'}>
                {words(`step.${item}`)}
              </Say>
            </Option>
          ))}
        </OneStop>
        <ChangeNotice matchKey={`${id}/${match.leading}`} />
        {step === 'natural' && record.stage ? (
          <AnswerPlate
            stage={record.stage}
            sample={plate.sample}
            answer={plate.answer}
            states="corner"
            maxHeight={420}
          />
        ) : null}
        <AfterHead key={step}>
          <StepBody {...props} />
        </AfterHead>
      </ScrollView>
      <ScrollView
        role="complementary"
        aria-label={words('step.hook')}
        className="w-column flex-none border-l border-line bg-plane"
        contentContainerClassName="pb-8"
      >
        <StepRow stacked id={id} step="hook" head={lines.hook.head} detail={lines.hook.detail} open={false} />
        {answer ? <HowFar answer={answer} className="border-b border-line px-5 py-3" /> : null}
        {answer ? (
          <View className="border-b border-line px-5 py-3">
            <Heading size="small">{words('hook.one-a-maker')}</Heading>
            {Object.values(answer.by_maker).map((hook) => (
              <View key={hook.id} className="min-h-9 flex-row items-center justify-between gap-2">
                <Say size="small" lines={1} className="min-w-0 flex-1">
                  {`${hook.maker_name} ${hook.model_name}`}
                </Say>
                <Say size="small" weight="strong">
                  {hook.size}
                </Say>
                <Say size="small" tone="soft" className="w-12 text-right">
                  {offDigits(hook.length_steps!, speech)}
                </Say>
              </View>
            ))}
          </View>
        ) : null}
        <StepRow
          stacked
          id={id}
          step="dressing"
          head={lines.dressing.head}
          detail={lines.dressing.detail}
          open={false}
        />
        <StepRow stacked id={id} step="bench" head={lines.bench.head} detail={lines.bench.detail} open={false} />
        <StepRow stacked id={id} step="water" head={lines.water.head} detail={lines.water.detail} open={false} />
      </ScrollView>
    </View>
  );
}
