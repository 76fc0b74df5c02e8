import { isValid } from 'date-fns/isValid';
import { parseISO } from 'date-fns/parseISO';
import { toDate } from 'date-fns/toDate';
import i18next, { type i18n } from 'i18next';
import type { Texts } from '@/catalogue';
import ids from '@/catalogue/ids.json';
import tools from '@/catalogue/tools.json';
import { BENCH_CODE, SAY, SCHOOL_CODE } from '@/core/code';
import type { Card, CardStep } from '@/core/card/card-shape';
import { formatLength, formatSpread, type LengthUnit } from '@/core/units';
import type { Coded, Param } from '@/core/code';
import type { Shade } from '@/core/colour';
import en from './en.json';
import NAMED from './en-names.json';
import ui from './en-ui.json';
import says from './en-say.json';
import { formatsOf } from './formats';
import { lowered } from './letters';

type Kinds = typeof ids;
export type IdKind = keyof Kinds;

/** A row that offers options of its own: a school's. */
interface WithOptions {
  id: string;
  options?: readonly { id: string; name: string }[];
}

const optionsKey = (kind: string, id: string) => `${kind}/${id}`;

/** Names of every id, from the one list, and of what a row offers (`schools/taper`); where a tier says it otherwise, as a tier says it. A translation overrides them by key. */
function idNames(): Record<string, Record<string, string>> {
  const namesOf = (entries: readonly { id: string; name: string }[]) =>
    Object.fromEntries(entries.map((entry) => [entry.id, entry.name]));
  return Object.fromEntries(
    Object.entries(ids).flatMap(([kind, entries]) => [
      [kind, { ...namesOf(entries), ...(NAMED as Record<string, Record<string, string>>)[kind] }],
      ...(entries as readonly WithOptions[]).flatMap(({ id, options }) =>
        options ? [[optionsKey(kind, id), namesOf(options)]] : [],
      ),
    ]),
  );
}

/** What may be listed; empty texts and nothing are left out. */
type Items = readonly (string | number | null | undefined | false)[];

/** Words for codes and numbers, in one language and unit, for app and command line alike. */
export interface Speech {
  t: i18n['t'];
  unit: LengthUnit;
  /** A coded reason, caution, check or error as a sentence. */
  say(coded: Coded, group?: 'reason' | 'fault' | 'check'): string;
  /** Every list of ids, each row with its name in this language: what a screen offers to choose from. */
  ids: Kinds;
  /** The plain name of an id. */
  name(kind: IdKind, id: string): string;
  /** The same inside a sentence: lower case unless it is a name. */
  plain(kind: IdKind, id: string): string;
  /** A length with its unit. */
  length(mm: number, fine?: boolean): string;
  /** Its digits alone, for where the unit stands elsewhere. */
  digits(mm: number, fine?: boolean): string;
  /** Digits of a ±, mm at least 0. */
  spread(mm: number, fine?: boolean): string;
  /** What is counted up side by side, as the language does; what is empty is left out. */
  list(items: Items): string;
  /** One or another of some. */
  either(items: Items): string;
  /** The same of things said, each of which may be a list itself. */
  clauses(items: Items): string;
  /** The same of whole sentences without their last stop. */
  sentences(items: Items): string;
  /** What something is, and what is said of it. */
  pair(what: string, text: string): string;
  /** A text with a note on it. */
  aside(text: string, note: string): string;
  /** A text as one point of several. */
  point(text: string): string;
  /** The same of what only stands beside one another on a line. */
  beside(items: Items): string;
  /** A number with so many decimals; its minus is a minus. */
  number(value: number, decimals?: number): string;
  /** A day, `2033-05-24` or with its time, in short: with `time` its year and its hour too. A time that is none stands as it was noted. */
  day(at: string | number, time?: boolean): string;
  /** A month with its year; a time that is none stands as it was noted. */
  month(at: string): string;
  /** The weekday of a day in short, and its month without a year. */
  weekday(at: string): string;
  season(at: string): string;
  /** An amount of stored bytes: `3.4 MB`. */
  bytes(count: number): string;
  /** A moment in full, with its weekday. */
  moment(at: string | number): string;
  shade(shade: Shade): string;
  caution(id: string): string;
  stepTitle(step: CardStep): string;
  stepDetail(step: CardStep): string[];
  /** Whether the part's length is worth saying at this step. */
  showsLength(step: CardStep): boolean;
  stepCheck(step: CardStep): string | null;
  stepOrientation(step: CardStep): string | null;
  /** What to do where the check fails. */
  stepMends(step: CardStep): string[];
  /** Words of a dressing's own, or of the code in their place. */
  worded(text: string): string;
  /** The name of a tool inside a sentence; a tier's own word as it stands. */
  tool(id: string): string;
  /** The question of a sign, in plain words. */
  ask(sign: string): string;
  /** One answer to it. */
  answer(sign: string, answer: string): string;
  /** What was said of an insect, sign or not: `three tails`, `its length`, `in May`. */
  said(what: string, answer: string): string;
}

export function createI18n(language = 'en'): i18n {
  const instance = i18next.createInstance();
  void instance.init({
    lng: language,
    fallbackLng: 'en',
    initAsync: false,
    keySeparator: '.',
    interpolation: { escapeValue: false },
    resources: {
      en: {
        translation: { ...en, ...says, ui },
        id: idNames(),
      },
    },
  });
  return instance;
}

/** What the language says of dressings, materials and groups by key; null for English, which their lists are written in. */
export function textsOf(instance: i18n): Texts | null {
  return (instance.getResourceBundle(instance.language, 'text') as Texts | undefined) ?? null;
}

/** Verbs at which a tier measures the part they make. */
const MEASURES: ReadonlySet<string> = new Set(['bind', 'wind', 'dub', 'clip', 'tease', 'post']);

const PROPER: ReadonlySet<string> = new Set(['makers']);

/** A way of speaking: one language, one unit. */
export function createSpeech(instance: i18n, unit: LengthUnit): Speech {
  const { t } = instance;
  /** A name inside a sentence: some languages write it lowered there, others as it is. */
  const inSentence = t('list.names-inside') === 'small' ? lowered : (text: string) => text;
  const name = (kind: IdKind, id: string): string => {
    const found = instance.getResource(instance.language, 'id', `${kind}`) as Record<string, string> | undefined;
    return (
      found?.[id] ??
      (ids[kind] ? ((ids[kind] as { id: string; name: string }[]).find((entry) => entry.id === id)?.name ?? id) : id)
    );
  };
  const plain = (kind: IdKind, id: string) => {
    const text = name(kind, id);
    return PROPER.has(kind) ? text : inSentence(text);
  };
  const formats = formatsOf(instance.language);
  const written = (at: string | number, as: (date: Date) => string) => {
    const date = typeof at === 'number' ? toDate(at) : parseISO(at);
    return isValid(date) ? as(date) : String(at);
  };
  const day = (at: string | number, time = false) =>
    written(at, (date) =>
      time ? list([formats.full.format(date), formats.hour.format(date)]) : formats.short.format(date),
    );
  let rows: Kinds | null = null;
  const option = (kind: string, row: string, entry: { id: string; name: string }) => ({
    ...entry,
    name:
      (instance.getResource(instance.language, 'id', optionsKey(kind, row)) as Record<string, string> | undefined)?.[
        entry.id
      ] ?? entry.name,
  });
  const named = () =>
    Object.fromEntries(
      Object.entries(ids).map(([kind, entries]) => [
        kind,
        (entries as readonly (WithOptions & { name: string })[]).map((entry) => ({
          ...entry,
          name: name(kind as IdKind, entry.id),
          ...(entry.options ? { options: entry.options.map((item) => option(kind, entry.id, item)) } : {}),
        })),
      ]),
    ) as unknown as Kinds;
  const length = (mm: number, fine = false) => {
    const { digits, unit: word } = formatLength(mm, unit, fine);
    return `${digits} ${t(`unit.${word}`)}`;
  };
  const digits = (mm: number, fine = false) => formatLength(mm, unit, fine).digits;
  const spread = (mm: number, fine = false) => formatSpread(mm, unit, fine).digits;
  const said = (items: Items) => items.flatMap((item) => (typeof item === 'number' || item ? [String(item)] : []));
  const list = (items: Items) => formats.list.format(said(items));
  const sentences = (items: Items) => said(items).join(t('list.sentences'));
  const param = (value: Param): string => {
    if (value === null) return '';
    if (typeof value === 'number') return Number.isInteger(value) ? String(value) : value.toFixed(1);
    if (typeof value === 'string') return value.startsWith(SAY) ? t(`say.${value.slice(SAY.length)}`) : value;
    if ('mm' in value) return length(value.mm);
    if ('at' in value) return day(value.at, true);
    if ('list' in value) return list(value.list.map(param));
    return plain(value.kind as IdKind, value.id);
  };
  const say: Speech['say'] = (coded, group = 'reason') => {
    const params = Object.fromEntries(Object.entries(coded.params).map(([key, value]) => [key, param(value)]));
    return t(
      group === 'check' && coded.code.startsWith(BENCH_CODE)
        ? `rule.${coded.code.slice(BENCH_CODE.length)}`
        : `${group}.${coded.code}`,
      params,
    );
  };
  const partWord = (step: CardStep) => (step.kind ? plain('parts', step.kind) : '');
  const tool = (id: string) =>
    inSentence(textsOf(instance)?.[`tool.${id}.name`] ?? tools.find((item) => item.id === id)?.name ?? id);
  const flatten = (step: CardStep) => step.check === 'flatten-barb';
  /** A sentence of a way from the figures of its step; without a figure that it names, its shorter form. */
  const sentence = (code: string, figures: CardStep['figures']) => {
    const raw = String(
      instance.getResource(instance.language, 'translation', `say.${code}`) ??
        instance.getResource('en', 'translation', `say.${code}`) ??
        code,
    );
    const named = [...raw.matchAll(/{{(\w+)}}/g)].map((found) => found[1]!);
    const key = named.every((name) => name in figures) ? code : `${code}_bare`;
    return t(`say.${key}`, Object.fromEntries(Object.entries(figures).map(([name, value]) => [name, param(value)])));
  };
  /** Dressings of hand carry their own words; what a way or a school says comes as a code. */
  const worded = (text: string, figures: CardStep['figures'] = {}) => {
    if (text.startsWith(SAY)) return sentence(text.slice(SAY.length), figures);
    return text.startsWith(SCHOOL_CODE) ? t(`school-step.${text.slice(SCHOOL_CODE.length)}`) : text;
  };
  return {
    t,
    unit,
    get ids() {
      return (rows ??= named());
    },
    say,
    name,
    plain,
    length,
    digits,
    number: (value, decimals = 0) => formats.decimals(decimals).format(value).replace('-', '−'),
    day,
    weekday: (at) => written(at, (date) => formats.weekday.format(date)),
    season: (at) => written(at, (date) => formats.season.format(date)),
    month: (at) => written(at, (date) => formats.month.format(date)),
    bytes: (count) => formats.bytes(count),
    moment: (at) => written(at, (date) => list([formats.long.format(date), formats.hour.format(date)])),
    list,
    either: (items) => formats.either.format(said(items)),
    sentences,
    pair: (what, text) => t('list.pair', { what, text }),
    aside: (text, note) => t('list.aside', { text, note }),
    point: (text) => t('list.point', { text }),
    clauses: (items) => said(items).join(t('list.clauses')),
    beside: (items) => said(items).join(t('list.beside')),
    spread,
    shade: (shade) => t(`shade.${shade.tone ?? 'none'}`, { hue: t(`hue.${shade.hue}`) }),
    caution: (id) => t('caution-line.whole', { text: t(`caution.${id}`), ending: t('caution.ending') }),
    stepTitle: (step) => {
      if (flatten(step)) return t('step.flatten-barb');
      if (step.as !== null) return t(`act.${step.as}`, { part: partWord(step) });
      if (step.do === 'cut' && step.kind === 'head') return t('step.cut-thread');
      if (step.do === 'cut' && step.bench?.cuts === 'waste' && step.kind)
        return t('step.cut-waste', { part: partWord(step) });
      const material = step.material ? inSentence(step.material.name) : '';
      return t(`step.${step.do}`, { part: partWord(step), material });
    },
    showsLength: (step) =>
      MEASURES.has(step.do) || (step.do === 'cut' && step.bench?.cuts === 'show') || step.as === 'cut-shape',
    stepCheck: (step) =>
      flatten(step)
        ? t('step.flatten-barb-check')
        : sentences([step.check && worded(step.check, step.figures), step.note]) || null,
    stepOrientation: (step) => step.orientation && worded(step.orientation, step.figures),
    stepMends: (step) => step.mend.map((mend) => worded(mend, step.figures)),
    worded: (text) => worded(text),
    tool,
    ask: (sign) => t(`sign.${sign}.ask`),
    answer: (sign, answer) => t(`sign.${sign}.${answer}`),
    said: (what, answer) => saidWith(t, what, answer),
    stepDetail: (step) => {
      const lines: string[] = [];
      if (step.material && step.do !== 'start-thread' && step.do !== 'lay-weight')
        lines.push(t('step.with', { material: inSentence(step.material.name) }));
      if (step.count !== null && step.count > 0 && step.do === 'bind' && step.kind !== 'rib')
        lines.push(t('step.fibres', { count: step.count }));
      if (step.turns !== null && step.turns > 0) lines.push(t('step.turns', { count: step.turns }));
      if (step.side) lines.push(t(`side.${step.side}`));
      if (step.at?.landmark === 'behind-eye') lines.push(t('step.at-eye'));
      else if (step.at)
        lines.push(
          step.at.landmark
            ? t('step.at', { place: plain('landmarks', step.at.landmark), mm: length(step.at.mm) })
            : t('step.at-mm', { mm: length(step.at.mm) }),
        );
      if (step.orientation) lines.push(worded(step.orientation, step.figures));
      if (step.method && step.do === 'bind') lines.push(t(`step.${step.method}`));
      if (step.assembly) lines.push(t('step.assembled'));
      if (step.vise && step.vise !== 'normal') lines.push(t('step.vise', { vise: plain('vise-positions', step.vise) }));
      if (step.tool) lines.push(t('step.tool', { tool: tool(step.tool) }));
      if (step.wait_s)
        lines.push(
          step.wait_s >= 120
            ? t('step.wait-minutes', { minutes: Math.round(step.wait_s / 60) })
            : t('step.wait', { seconds: step.wait_s }),
        );
      return lines;
    },
  };
}

/** What is no sign of the key has words of its own. */
function saidWith(t: (key: string, params?: Record<string, unknown>) => string, what: string, answer: string): string {
  if (what === 'month')
    return answer === '' ? t('said.month') : t('said.month-of', { answer: t(`month-name.${answer}`) });
  if (what === 'water') return t('said.water', { answer: t(`sign.water.${answer}`) });
  if (what === 'seen') return t('said.seen', { answer: t(`ui.key.seen-name.${answer}`) });
  if (what === 'rise') return t('said.rise', { answer: t(`ui.key.rise-name.${answer}`) });
  return ['length', 'case-length', 'belly'].includes(what)
    ? t(`said.${what}`)
    : t('said.sign', { sign: t(`said-of.${what}`), answer: t(`sign.${what}.${answer}`) });
}

/** Lengths of a card as its one-line answer: what a tier reads first. */
export function headlineParts(card: Card): { id: string; part: string; mm: number }[] {
  const wanted = ['tail', 'shuck', 'extended-body', 'abdomen', 'case', 'wing', 'post', 'tuft', 'hair-wing', 'hackle'];
  return wanted
    .flatMap((kind) => {
      const part = card.parts.find((item) => item.part === kind && item.mm !== null);
      return part ? [{ id: part.id, part: part.part, mm: part.mm! }] : [];
    })
    .slice(0, 3);
}
