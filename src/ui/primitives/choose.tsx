import { OneStop } from './one-stop';
import { Option } from './option';
import { Pick } from './pick';
import { Say } from './text';

export interface Choice<T extends string> {
  id: T;
  label: string;
}

/** A phone's column, and what a chip takes beside its letters, px. */
const COLUMN = 350;
const LETTER = 8.4;
const BESIDE = 34;
/** More lines of chips than these are a wall. */
const MOST_LINES = 2;

/** How many lines the chips of these labels take on a phone. */
function linesOfChips(labels: readonly string[]): number {
  let lines = 1;
  let at = 0;
  for (const label of labels) {
    const width = label.length * LETTER + BESIDE;
    if (at > 0 && at + width > COLUMN) {
      lines += 1;
      at = 0;
    }
    at += width;
  }
  return lines;
}

/**
 * One of several, by what they need: chips where they all stand on two lines of a phone, else the browser's own list on one line.
 * `label` is spoken; the words above it are the screen's.
 */
export function Choose<T extends string>({
  label,
  choices,
  value,
  onChange,
  tall = false,
}: {
  label: string;
  choices: readonly Choice<T>[];
  value: T | null;
  onChange: (id: T) => void;
  /** For a wet hand: 56 px, and never a list. */
  tall?: boolean;
}) {
  if (!tall && linesOfChips(choices.map((choice) => choice.label)) > MOST_LINES)
    return (
      <Pick
        label={label}
        spokenOnly
        none={value === null ? '–' : undefined}
        choices={choices}
        value={value}
        onChange={(id) => id !== null && onChange(id)}
      />
    );
  return (
    <OneStop
      label={label}
      reached={(choices.find((choice) => choice.id === value) ?? choices[0])?.id}
      className="flex-row flex-wrap gap-2"
    >
      {choices.map((choice) => {
        const on = choice.id === value;
        return (
          <Option key={choice.id} id={choice.id} on={on} onTake={() => onChange(choice.id)} look="chip" tall={tall}>
            <Say weight={on ? 'strong' : 'medium'}>{choice.label}</Say>
          </Option>
        );
      })}
    </OneStop>
  );
}
