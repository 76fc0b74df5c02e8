import type { Speech } from '../src/speech';
import type { Flag } from './args';
import type { Reader } from './read';

/** What a command answers: a JSON value in core's shape (codes become words on the way out) and readable text. */
export interface Answered {
  json: unknown;
  /** Worded only when it is asked for. */
  text: string | (() => string);
  exit: 0 | 2;
}

export interface Command {
  name: string;
  summary: string;
  flags: readonly Flag[];
  /** How many bare words it takes after its name, and what they are. */
  words: string[];
  example: string;
  shape: string;
  run(read: Reader, speech: Speech): Answered | null | Promise<Answered | null>;
}
