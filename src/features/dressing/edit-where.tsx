import { PLUS, type Dressing, type Station } from '@/core/dressings';
import { useSpeech, useWords } from '@/features/shell';
import { Pick } from '@/ui/primitives';
import { View } from 'react-native';
import { NumberField } from '@/features/length-field';

const OFFSET = [-5, 5] as const;

/** Parts by what a tier calls them; two of a kind by number. */
export function usePartNames(dressing: Dressing): (id: string) => string {
  const speech = useSpeech();
  return (id) => {
    const part = dressing.parts.find((item) => item.id === id);
    if (!part) return id;
    const same = dressing.parts.filter((item) => item.part === part.part);
    return same.length === 1
      ? speech.plain('parts', part.part)
      : `${speech.plain('parts', part.part)} ${same.indexOf(part) + 1}`;
  };
}

/** Marks along the hook by name: where the body is tied down, landmarks, and either end of the parts that lie along it. */
function useMarks(dressing: Dressing): { id: string; label: string }[] {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const nameOf = usePartNames(dressing);
  const along = dressing.parts.filter((part) => part.to === 'forward');
  return [
    { id: 'tie-down', label: words('edit-dressing.tie-down') },
    ...along.flatMap((part) => [
      { id: `part:${part.id}/rear`, label: words('edit-dressing.rear-of', { part: nameOf(part.id) }) },
      { id: `part:${part.id}`, label: words('edit-dressing.front-of', { part: nameOf(part.id) }) },
    ]),
    { id: 'front', label: words('edit-dressing.at-front') },
    ...ids.landmarks.map((mark) => ({ id: mark.id, label: speech.plain('landmarks', mark.id) })),
  ];
}

interface WherePickProps {
  dressing: Dressing;
  label: string;
  value: Station | null;
  /** What no place of its own is called. */
  none: string;
  /** Places beside the marks. */
  more?: readonly { id: string; label: string }[];
  onChange: (station: Station | null) => void;
}

/** A place on the hook: a mark, and how much of the shank beyond it. */
export function WherePick({ dressing, label, value, none, more = [], onChange }: WherePickProps) {
  const words = useWords();
  const marks = [...more, ...useMarks(dressing)];
  const found = value === null ? null : PLUS.exec(value);
  const mark = value === null ? null : found ? value.slice(0, found.index) : value;
  const base = found?.[2] ?? 'shank';
  const known =
    mark === null || marks.some((item) => item.id === mark)
      ? marks
      : [...marks, { id: mark, label: mark.replace(/^part:/, '') }];
  const moved = (factor: number | null) =>
    onChange(mark === null ? null : factor ? `${mark}${factor < 0 ? '' : '+'}${factor}${base}` : mark);
  return (
    <View className="min-w-0 flex-row items-end gap-3">
      <Pick
        label={label}
        choices={known}
        value={mark}
        none={none}
        onChange={(id) =>
          onChange(
            id === null
              ? null
              : found && /^(part:|tie-down|front)/.test(id) === /^(part:|tie-down|front)/.test(mark ?? '')
                ? `${id}${found[0]}`
                : id,
          )
        }
      />
      {mark !== null && mark !== 'collar' ? (
        <View className="w-24">
          <NumberField
            label={words('edit-dressing.moved-by')}
            value={found ? Number(found[1]) : null}
            range={OFFSET}
            onChange={moved}
          />
        </View>
      ) : null}
    </View>
  );
}
