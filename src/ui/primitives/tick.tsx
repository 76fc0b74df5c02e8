import Check from 'lucide-react-native/icons/check';
import { Pressable, View } from 'react-native';
import { token } from '../tokens';
import { CHOSEN } from './chosen';
import { spaceTakes } from './one-stop';
import { Say } from './text';

/** The box alone, for a row that is ticked as a whole. */
export function TickBox({ on }: { on: boolean }) {
  return (
    <View
      aria-hidden
      className={`h-6 w-6 items-center justify-center rounded-control border ${on ? CHOSEN : 'border-edge bg-plane'}`}
    >
      {on ? <Check size={18} color={token('ink')} /> : null}
    </View>
  );
}

/** One of many that may be had together: a box that is ticked, and its name. */
export function Tick({
  label,
  on,
  onChange,
  spokenOnly = false,
}: {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
  /** Where its name stands beside it already. */
  spokenOnly?: boolean;
}) {
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      onPress={() => onChange(!on)}
      {...spaceTakes(() => onChange(!on))}
      aria-label={spokenOnly ? label : undefined}
      className={
        spokenOnly
          ? 'min-h-touch min-w-12 justify-center'
          : 'min-h-target min-w-[150px] flex-1 basis-[45%] flex-row items-center gap-3'
      }
    >
      <TickBox on={on} />
      {spokenOnly ? null : (
        <Say size="small" className="min-w-0 flex-1">
          {label}
        </Say>
      )}
    </Pressable>
  );
}
