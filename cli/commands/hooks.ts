import { writeFileSync } from 'node:fs';
import { Z95 } from '../../src/core/constants';
import { KNOWN, shippedSchool, STYLES } from '../../src/catalogue';
import { convertHook, styleUse, type ConvertBy, type Nearest } from '../../src/core/answer';
import {
  HOOK_COLUMNS,
  readHooksFile,
  writeBadRows,
  writeHooksFile,
  type CellProblem,
  type ColumnMap,
  type HookColumn,
} from '../../src/core/exchange';
import {
  betweenSizes,
  columnsOf,
  hookId,
  lawTable,
  reads,
  readsGape,
  referenceEye,
  referenceGape,
  referenceWire,
  sizeLabelOf,
  type Hook,
} from '../../src/core/hooks';
import { roundAll } from '../../src/core/units';
import type { Speech } from '../../src/speech';
import { cellFault, inputFault } from '../args';
import { catalogueFor, ownedFrom, shippedAndOwn } from '../catalogue';
import { checkOut } from '../check';
import type { Answered, Command } from '../command';
import { worded } from '../json';
import type { Reader } from '../read';
import { columns, fold } from '../text';

const VERBS = ['read', 'convert', 'check', 'law'];
const WEIGHTS: readonly ConvertBy[] = ['length', 'gape', 'ride'];

function taped(read: Reader, speech: Speech): Answered | null {
  read.needed('shank');
  const shank = read.length('shank', read.one('shank'));
  const gape = read.length('gape', read.one('gape'));
  if (read.faults.length > 0 || shank === null) return null;
  const reading = reads(shank);
  const json = {
    shank_mm: shank,
    reads: reading,
    nearest: sizeLabelOf(reading),
    gape_mm: gape ?? referenceGape(shank),
    wire_mm: referenceWire(shank),
    eye_mm: referenceEye(shank),
    source: 'model',
    ...(gape === null ? {} : { reads_gape: readsGape(gape) }),
  };
  const lines = [
    `reads ${reading.toFixed(1)} long${gape === null ? '' : `, ${readsGape(gape).toFixed(1)} wide`}; nearest label ${json.nearest}`,
    `about, by the reference scale: gape ${speech.length(json.gape_mm)}, wire ${speech.length(json.wire_mm, true)}, eye ${speech.length(json.eye_mm, true)}`,
  ];
  return { json: roundAll(json), text: lines.join('\n'), exit: 0 };
}

/** The hook named by maker, model and size; a size between two that are stocked follows from its neighbours. */
function namedHook(read: Reader, hooks: readonly Hook[]): Hook | null {
  for (const name of ['maker', 'model', 'size']) read.needed(name);
  const [maker, model, size] = [read.one('maker'), read.one('model'), read.one('size')];
  if (maker === null || model === null || size === null) return null;
  const makerId = read.id<string>('maker', maker, [
    ...new Map(hooks.map((hook) => [hook.maker, { id: hook.maker, name: hook.makerName }])).values(),
  ]);
  if (makerId === null) return null;
  const own = hooks.filter((hook) => hook.maker === makerId);
  const modelId = read.id<string>('model', model, [
    ...new Map(own.map((hook) => [hook.model, { id: hook.model, name: hook.modelName }])).values(),
  ]);
  if (modelId === null) return null;
  const sizes = own.filter((hook) => hook.model === modelId);
  const wanted = hookId(makerId, modelId, size.trim()).toLowerCase();
  const found = sizes.find((hook) => hook.id.toLowerCase() === wanted);
  if (found) return found;
  const rows = shippedAndOwn(read).filter((row) => row.maker === makerId && row.model === modelId);
  const between = betweenSizes(rows, size.trim(), shippedSchool(makerId));
  return (
    between ??
    read.fault(
      inputFault('size', 'size-not-stocked', size, {
        params: {
          model: `${sizes[0]!.makerName} ${sizes[0]!.modelName}`,
          sizes: sizes.map((hook) => hook.size).join(', '),
        },
        allowed: sizes.map((hook) => hook.size),
      }),
    )
  );
}

function nearestLine(name: string, nearest: Nearest, speech: Speech): string[] {
  const signed = (mm: number, fine = false) => `${mm < 0 ? '−' : '+'}${speech.length(Math.abs(mm), fine)}`;
  return [
    name,
    `${nearest.hook.model_name} ${nearest.hook.size}`,
    nearest.steps.toFixed(1),
    signed(nearest.length_mm),
    signed(nearest.gape_mm),
    signed(nearest.wire_mm, true),
  ];
}

function convert(read: Reader, speech: Speech): Answered | null {
  const by = (read.one('weights') ?? 'length') as ConvertBy;
  if (!WEIGHTS.includes(by))
    read.fault(
      inputFault('weights', 'not-one-of', by, { params: { allowed: WEIGHTS.join(', ') }, allowed: [...WEIGHTS] }),
    );
  const owned = ownedFrom(read);
  const { hooks } = catalogueFor(read, undefined);
  const from = namedHook(read, hooks);
  if (read.faults.length > 0 || from === null) return null;
  const style = STYLES.find((item) => item.id === 'nymph')!;
  const result = convertHook(from, columnsOf(hooks), { by, use: styleUse(style), owned, onlyOwned: read.has('owned') });
  const found = Object.values(result.to);
  const lines = [
    `${from.makerName} ${from.modelName} ${from.size}: ${speech.length(from.shank.value)} long, ${speech.length(from.gape.value)} wide, reads ${reads(from.shank.value).toFixed(1)}`,
    '',
    columns([
      ['maker', 'nearest', 'steps', 'length', 'gape', 'wire'],
      ...found.map((nearest) => nearestLine(nearest.hook.maker_name, nearest, speech)),
    ]),
    ...(result.drawer
      ? [
          '',
          fold(
            `in the drawer: ${result.drawer.hook.maker_name} ${result.drawer.hook.model_name} ${result.drawer.hook.size}; ${result.drawer.reasons.map((item) => speech.say(item)).join('; ')}`,
            2,
          ),
        ]
      : []),
    ...found
      .filter((nearest) => !nearest.close)
      .map((nearest) =>
        fold(`${nearest.hook.maker_name}: ${nearest.reasons.map((item) => speech.say(item)).join('; ')}`, 2),
      ),
  ];
  return { json: worded(result, speech), text: lines.join('\n'), exit: 0 };
}

/** `--map NAME=COLUMN`: what another's heading is in a hooks file. */
function mapFrom(read: Reader, headings: readonly string[]): ColumnMap {
  const map: ColumnMap = {};
  for (const text of read.many('map')) {
    const equals = text.indexOf('=');
    const name = text.slice(0, equals).trim().toLowerCase();
    const column = text.slice(equals + 1).trim();
    if (equals < 1 || column === '') read.fault(inputFault('map', 'map-unread', text));
    else if (!HOOK_COLUMNS.includes(name as HookColumn))
      read.fault(
        inputFault('map', 'map-name', name, {
          params: { nearest: read.nearest(name, HOOK_COLUMNS) },
          allowed: [...HOOK_COLUMNS],
        }),
      );
    else if (!headings.includes(column))
      read.fault(
        inputFault('map', 'map-column', column, { params: { allowed: headings.join(', ') }, allowed: [...headings] }),
      );
    else map[name as HookColumn] = { heading: column, unit: null };
  }
  return map;
}

function written(read: Reader, flag: 'out' | 'bad', text: string): void {
  const path = read.one(flag);
  if (path === null) return;
  try {
    writeFileSync(path, text);
  } catch {
    read.fault(inputFault(flag, 'file-unwritten', path));
  }
}

function check(read: Reader, speech: Speech): Answered | null {
  const path = read.words[1] ?? null;
  if (path === null) return read.fault(inputFault('file', 'flag-missing', null));
  const text = read.file('file', path);
  if (text === null) return null;
  const { table } = readHooksFile(text, KNOWN);
  const map = mapFrom(read, table?.headings ?? []);
  const result = readHooksFile(text, KNOWN, { map, unit: read.unit });
  const whole = result.table === null ? result.problems[0] : undefined;
  if (whole) read.fault(cellFault('file', whole));
  if (read.faults.length > 0) return null;
  const word = (problem: CellProblem) => speech.say(problem, 'fault');
  written(read, 'out', writeHooksFile(result.rows));
  written(read, 'bad', writeBadRows(result, word));
  if (read.faults.length > 0) return null;
  const lineOf = new Map(result.table!.rows.map((row) => [row.line, row.cells]));
  return checkOut(
    path,
    { count: result.count, good: result.rows.length, problems: result.problems },
    speech,
    ({ line }) => {
      const cells = line === null ? undefined : lineOf.get(line);
      return cells ? [cells.maker, cells.model, cells.size].filter(Boolean).join(' ') || null : null;
    },
  );
}

function law(read: Reader, speech: Speech): Answered | null {
  read.needed('model');
  const path = read.one('model');
  if (path === null) return null;
  const text = read.file('model', path);
  if (text === null) return null;
  const result = readHooksFile(text, KNOWN);
  for (const problem of result.problems) read.fault(cellFault('model', problem));
  const models = new Set(result.rows.map((row) => `${row.maker}:${row.model}`));
  if (read.faults.length === 0 && models.size !== 1)
    read.fault(inputFault('model', 'model-one', path, { params: { count: models.size } }));
  if (read.faults.length > 0) return null;
  const sizes = lawTable(result.rows, shippedSchool(result.rows[0]!.maker)).map(({ size, shank }) => ({
    size,
    shank_mm: shank.value,
    sd_mm: shank.sd,
    source: shank.source,
  }));
  const [first] = result.rows;
  return {
    json: roundAll({ sizes }),
    text: [
      `${first!.makerName} ${first!.modelName}`,
      columns(
        sizes.map((item) => [
          item.size,
          speech.length(item.shank_mm),
          `± ${speech.length(Z95 * (item.sd_mm ?? 0), true)}`,
          speech.plain('sources', item.source),
        ]),
      ),
    ].join('\n'),
    exit: 0,
  };
}

export const hooksCommand: Command = {
  name: 'hooks',
  summary: 'read a taped hook, convert one to other makers, check a file, the law of a model',
  flags: [
    { name: 'shank', takes: 'one', value: 'LEN', help: 'read: behind the eye to the start of the bend' },
    { name: 'gape', takes: 'one', value: 'LEN', help: 'read: point to shank' },
    { name: 'maker', takes: 'one', value: 'ID', help: 'convert: maker of the hook' },
    { name: 'model', takes: 'one', value: 'ID|FILE', help: 'convert: its model; law: a hooks file of one model' },
    { name: 'size', takes: 'one', value: 'S', help: 'convert: the label' },
    { name: 'weights', takes: 'one', value: 'length|gape|ride', help: 'convert: what counts most (length)' },
    { name: 'owned', takes: 'nothing', help: 'convert: only hooks in the drawer' },
    { name: 'drawer', takes: 'one', value: 'FILE', help: 'maker,model,size,count' },
    { name: 'catalogue', takes: 'many', value: 'FILE', help: 'hooks added to the shipped ones' },
    { name: 'only-catalogue', takes: 'nothing', help: '--catalogue replaces the shipped hooks' },
    { name: 'map', takes: 'many', value: 'NAME=COLUMN', help: 'check: our column and the heading it has in the file' },
    { name: 'out', takes: 'one', value: 'GOOD.csv', help: 'check: where good rows go' },
    { name: 'bad', takes: 'one', value: 'BAD.csv', help: 'check: where bad rows go, with what is wrong' },
  ],
  words: ['read|convert|check|law', 'FILE'],
  example: 'aubade hooks convert --maker osmere --model lark --size 14',
  shape:
    "read: { shank_mm, reads, nearest, gape_mm, wire_mm, eye_mm, source: 'model', reads_gape? } | convert: { from, to: { maker: Nearest }, drawer } | check: { file, rows, good, bad, problems[] } | law: { sizes: { size, shank_mm, sd_mm, source }[] }",
  run(read, speech) {
    const verb = read.words[0] ?? '';
    if (verb !== 'check' && read.words[1] !== undefined)
      read.fault(inputFault('command', 'argument-extra', read.words[1]));
    if (verb === 'read') return taped(read, speech);
    if (verb === 'convert') return convert(read, speech);
    if (verb === 'check') return check(read, speech);
    if (verb === 'law') return law(read, speech);
    read.fault(
      inputFault('command', 'command-unknown', `hooks ${verb}`.trim(), {
        params: { nearest: `hooks ${read.nearest(verb, VERBS)}` },
        allowed: VERBS,
      }),
    );
    return null;
  },
};
