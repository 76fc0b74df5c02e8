import { closest } from 'fastest-levenshtein';
import { createI18n, createSpeech, type Speech } from '../src/speech';
import { version } from '../package.json';
import { COMMON_FLAGS, inputFault, readArgs, type Flag, type InputFault } from './args';
import type { Answered, Command } from './command';
import { backupCommand } from './commands/backup';
import { boxCommand } from './commands/box';
import { exportCommand } from './commands/export';
import { cardCommand } from './commands/card';
import { fieldCardCommand } from './commands/field-card';
import { blendCommand, shadeCommand, stashCommand, substituteCommand } from './commands/colour';
import { dressingsCommand } from './commands/dressings';
import { hooksCommand } from './commands/hooks';
import { idsCommand } from './commands/ids';
import { journalCommand } from './commands/journal';
import { rideCommand } from './commands/ride';
import { sessionCommand } from './commands/session';
import { stageCommand } from './commands/stage';
import { matchCommand } from './commands/match';
import { measureCommand } from './commands/measure';
import { Reader } from './read';
import { columns, fold } from './text';

export const COMMANDS: readonly Command[] = [
  matchCommand,
  cardCommand,
  dressingsCommand,
  hooksCommand,
  stageCommand,
  boxCommand,
  measureCommand,
  fieldCardCommand,
  blendCommand,
  shadeCommand,
  substituteCommand,
  stashCommand,
  sessionCommand,
  rideCommand,
  journalCommand,
  idsCommand,
  backupCommand,
  exportCommand,
];
const ALIASES: Record<string, string> = { dressing: 'dressings' };

export interface Outcome {
  stdout: string;
  stderr: string;
  exit: 0 | 1 | 2;
}

function helpOf(command: Command): string {
  const flags = [...command.flags, ...COMMON_FLAGS].map((flag: Flag) => [
    `  --${flag.name}${flag.value ? ` ${flag.value}` : ''}${flag.takes === 'many' ? ' ×' : ''}`,
    flag.help,
  ]);
  return [
    `aubade ${command.name}${command.words.length > 0 ? ` ${command.words.map((word) => `[${word}]`).join(' ')}` : ''}`,
    fold(command.summary),
    '',
    columns(flags),
    '',
    'example',
    fold(`  ${command.example}`, 4),
    '',
    'JSON',
    fold(`  ${command.shape}`, 4),
  ].join('\n');
}

function helpOfAll(): string {
  return [
    'aubade COMMAND [FLAGS]',
    '',
    columns(COMMANDS.map((command) => [`  ${command.name}`, command.summary])),
    '',
    'aubade COMMAND --help shows flags, an example and the JSON shape.',
  ].join('\n');
}

function failed(faults: readonly InputFault[], json: boolean, speech: Speech): Outcome {
  const shown = faults.map((fault) => ({
    field: fault.field,
    message: speech.say({ code: fault.code, params: fault.params }, 'fault'),
    got: fault.got,
    allowed: fault.allowed,
    line: fault.line,
    column: fault.column,
  }));
  if (json) return { stdout: `${JSON.stringify({ error: shown[0], errors: shown })}\n`, stderr: '', exit: 2 };
  return { stdout: '', stderr: `${shown[0]!.field}: ${shown[0]!.message}\n`, exit: 2 };
}

/** Runs one command line; never throws for the user's input. Commands that read pictures or write PDF answer later. */
export function run(argv: readonly string[]): Outcome | Promise<Outcome> {
  const i18n = createI18n();
  const json = argv.includes('--json');
  const plain = createSpeech(i18n, 'mm');
  const [name, ...rest] = argv;
  if (name === '--version') return { stdout: `${version}\n`, stderr: '', exit: 0 };
  if (name === undefined || name === '--help' || name === 'help')
    return { stdout: `${helpOfAll()}\n`, stderr: '', exit: 0 };
  const names = COMMANDS.map((command) => command.name);
  const command = COMMANDS.find((item) => item.name === (ALIASES[name] ?? name));
  if (!command)
    return failed(
      [inputFault('command', 'command-unknown', name, { params: { nearest: closest(name, names) }, allowed: names })],
      json,
      plain,
    );
  const args = readArgs(rest, command.flags);
  if (args.switches.has('help')) return { stdout: `${helpOf(command)}\n`, stderr: '', exit: 0 };
  const extra = args.words[command.words.length];
  if (extra !== undefined) args.faults.push(inputFault('command', 'argument-extra', extra));
  const read = new Reader(args);
  const speech = createSpeech(i18n, read.unit === 'in' ? 'in-decimal' : 'mm');
  const out = (answered: Answered | null): Outcome =>
    read.faults.length > 0 || answered === null
      ? failed(read.faults, json, speech)
      : {
          stdout: `${json ? JSON.stringify(answered.json) : typeof answered.text === 'string' ? answered.text : answered.text()}\n`,
          stderr: '',
          exit: answered.exit,
        };
  const answered = command.run(read, speech);
  return answered instanceof Promise ? answered.then(out) : out(answered);
}
