import { View } from 'react-native';
import { REFERENCE_ROWS } from '@/catalogue';
import type { RideId, StageId } from '@/catalogue/ids';
import { hookId } from '@/core/hooks';
import { LengthField } from '@/features/length-field';
import { ALL_HUES, ShadeWords } from '@/features/colour-words';
import { StagePicker } from '@/features/stage';
import { useSpeech, useWords } from '@/features/shell';
import { Choose, Field, Say, Stepper } from '@/ui/primitives';
import { NO_KIND } from '@/records';
import type { Chosen } from './use-ledger';

/** The plain dry range that a bare size number is read on, about. */
const RANGE = 'standard-dry';
const SIZES = REFERENCE_ROWS.filter((row) => row.model === RANGE).map((row) => row.size);

interface OtherFlyProps {
  chosen: Chosen | null;
  onChange: (chosen: Chosen | null) => void;
}

/** A fly that was not tied here: what it is meant for, its size or length, its colour in words and how it rides; what is not known stays unknown. */
export function OtherFly({ chosen, onChange }: OtherFlyProps) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const kind = chosen?.kind ?? NO_KIND;
  const size = kind.hookId?.split(':')[2] ?? null;
  const put = (more: Partial<typeof kind>, count = chosen?.count ?? 1) => {
    const next = { ...kind, ...more };
    if (!next.stage) return onChange(null);
    const named =
      next.name === '' || next.name === autoName(kind.stage ?? null) ? { ...next, name: autoName(next.stage) } : next;
    onChange({
      kind: named,
      size: named.hookId?.split(':')[2] ?? (named.lengthMm ? speech.digits(named.lengthMm) : ''),
      count,
    });
  };
  const autoName = (stage: StageId | null) =>
    stage ? words('box.other-name', { stage: speech.name('stages', stage) }) : '';
  return (
    <View className="gap-4">
      <StagePicker value={kind.stage ?? null} onChange={(stage) => put({ stage })} />
      {kind.stage ? (
        <>
          <View className="gap-2">
            <Say size="small" tone="soft">
              {words('box.other-size')}
            </Say>
            <Choose
              label={words('box.other-size')}
              choices={[{ id: '', label: words('box.unknown') }, ...SIZES.map((id) => ({ id, label: id }))]}
              value={size ?? ''}
              onChange={(id) => put({ hookId: id === '' ? null : hookId('reference', RANGE, id), lengthMm: null })}
            />
            <LengthField
              label={words('box.other-length')}
              mm={kind.lengthMm ?? null}
              onChange={(lengthMm) => put({ lengthMm, ...(lengthMm === null ? {} : { hookId: null }) })}
            />
          </View>
          <ShadeWords
            label={words('box.other-colour')}
            none={words('box.unknown')}
            hues={ALL_HUES}
            value={kind.shade ?? null}
            onChange={(shade) => put({ shade })}
          />
          <View className="gap-2">
            <Say size="small" tone="soft">
              {words('box.other-ride')}
            </Say>
            <Choose
              label={words('box.other-ride')}
              choices={[
                { id: '', label: words('box.unknown') },
                ...ids.rides.map((ride) => ({ id: ride.id, label: words(`dressing.rides.${ride.id}`) })),
              ]}
              value={kind.ride ?? ''}
              onChange={(id) => put({ ride: id === '' ? null : (id as RideId) })}
            />
          </View>
          <Field
            label={words('box.other-called')}
            value={kind.name}
            onType={(name) => put({ name: name.trim() === '' ? autoName(kind.stage ?? null) : name })}
          />
          <Stepper
            shown
            label={words('box.other-count')}
            value={chosen?.count ?? 1}
            low={1}
            high={999}
            onChange={(count) => put({}, count)}
          />
        </>
      ) : (
        <Say size="small" tone="soft">
          {words('box.other-stage')}
        </Say>
      )}
    </View>
  );
}
