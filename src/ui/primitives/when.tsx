import { createElement, useState } from 'react';
import { View } from 'react-native';
import { Say } from './text';

interface WhenProps {
  label: string;
  /** Local time to the minute: `2033-05-24T04:50`. */
  value: string;
  onChange: (value: string) => void;
}

const MINUTE = 'YYYY-MM-DDTHH:mm';
const WHOLE = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/;

/** A day and a time, in the browser's own picker; one that is half typed stays as it is, and is not taken. */
export function When({ label, value, onChange }: WhenProps) {
  const [typing, setTyping] = useState<string | null>(null);
  return (
    <View className="gap-1">
      <Say size="small" tone="soft">
        {label}
      </Say>
      {createElement('input', {
        type: 'datetime-local',
        'aria-label': label,
        value: typing ?? value.slice(0, MINUTE.length),
        onChange: ({ target }: { target: { value: string } }) => {
          setTyping(target.value);
          if (WHOLE.test(target.value)) onChange(target.value);
        },
        onBlur: () => setTyping(null),
        className:
          'field min-h-target w-full min-w-0 rounded-control border border-edge bg-plane px-3 font-sans text-body text-ink',
      })}
    </View>
  );
}
