import type { CellProblem } from '../src/core/exchange';
import { closest } from 'fastest-levenshtein';
import type { Param } from '../src/core/code';

/** How a flag is typed: a switch, once, or as often as wanted. */
export interface Flag {
  name: string;
  takes: 'nothing' | 'one' | 'many';
  /** What the help shows for the value. */
  value?: string;
  help: string;
}

/** A fault of the input: `field` is the flag without dashes, `file` or `command`. */
export interface InputFault {
  field: string;
  code: string;
  params: Record<string, Param>;
  got: string | null;
  allowed: string[] | null;
  line: number | null;
  column: string | null;
}

export interface Args {
  words: string[];
  values: Map<string, string[]>;
  switches: Set<string>;
  faults: InputFault[];
}

export function inputFault(
  field: string,
  code: string,
  got: string | null,
  more: Partial<Pick<InputFault, 'params' | 'allowed' | 'line' | 'column'>> = {},
): InputFault {
  return {
    field,
    code,
    params: { got: got ?? '', ...more.params },
    got,
    allowed: more.allowed ?? null,
    line: more.line ?? null,
    column: more.column ?? null,
  };
}

export const COMMON_FLAGS: readonly Flag[] = [
  { name: 'json', takes: 'nothing', help: 'one JSON value on stdout' },
  { name: 'unit', takes: 'one', value: 'mm|in', help: 'unit of bare numbers typed and of readable text' },
  { name: 'help', takes: 'nothing', help: 'flags, an example and the JSON shape' },
];

/** Reads `--name value` and `--name=value`; a value may start with `-`. Every fault is collected. */
export function readArgs(argv: readonly string[], flags: readonly Flag[]): Args {
  const all = [...flags, ...COMMON_FLAGS];
  const known = new Map(all.map((flag) => [flag.name, flag]));
  const args: Args = { words: [], values: new Map(), switches: new Set(), faults: [] };
  for (let index = 0; index < argv.length; index++) {
    const word = argv[index]!;
    if (!word.startsWith('--') || word === '--') {
      args.words.push(word);
      continue;
    }
    const equals = word.indexOf('=');
    const name = word.slice(2, equals < 0 ? undefined : equals);
    const flag = known.get(name);
    if (!flag) {
      args.faults.push(
        inputFault(name, 'flag-unknown', word, {
          params: {
            nearest: closest(
              name,
              all.map((item) => item.name),
            ),
          },
          allowed: all.map((item) => `--${item.name}`),
        }),
      );
      continue;
    }
    if (flag.takes === 'nothing') {
      if (equals >= 0) args.faults.push(inputFault(name, 'flag-no-value', word));
      args.switches.add(name);
      continue;
    }
    const next = argv[index + 1];
    const nextIsFlag = next !== undefined && next.startsWith('--') && known.has(next.slice(2).split('=')[0]!);
    const value = equals >= 0 ? word.slice(equals + 1) : next === undefined || nextIsFlag ? '' : argv[++index]!;
    if (value.trim() === '') {
      args.faults.push(inputFault(name, 'flag-empty', value));
      continue;
    }
    const earlier = args.values.get(name) ?? [];
    if (flag.takes === 'one' && earlier.length > 0) args.faults.push(inputFault(name, 'flag-once', value));
    args.values.set(name, [...earlier, value]);
  }
  return args;
}

/** A cell that cannot be used, as a fault of its file. */
export function cellFault(field: string, problem: CellProblem): InputFault {
  const accepted =
    problem.accepted !== null && typeof problem.accepted === 'object' && 'list' in problem.accepted
      ? problem.accepted.list.map(String)
      : null;
  return inputFault(field, problem.code, problem.got, {
    params: problem.params,
    allowed: accepted,
    line: problem.line,
    column: problem.column,
  });
}
