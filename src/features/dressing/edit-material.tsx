import { useState } from 'react';
import { View } from 'react-native';
import type { Material } from '@/core/materials';
import { useApp } from '@/state';
import { selectCatalogue } from '@/state/answering';
import { OwnMaterial } from '@/features/own-material';
import { useWords } from '@/features/shell';
import { Pick } from '@/ui/primitives';

interface MaterialPickProps {
  label: string;
  /** Whether a material can do the work. */
  fits: (material: Material) => boolean;
  value: string | null;
  onChange: (id: string) => void;
}

/** What the list offers beside materials. */
const OWN = '+own';

/** A material that can do the work, the tier's own first; one that is not there yet can be made. */
export function MaterialPick({ label, fits, value, onChange }: MaterialPickProps) {
  const words = useWords();
  const { materials } = useApp(selectCatalogue);
  const [making, setMaking] = useState(false);
  const fitting = materials.filter(fits);
  const chosen = materials.find((material) => material.id === value);
  return (
    <View className="gap-3">
      <Pick
        label={label}
        choices={[
          ...fitting.map((material) => ({
            id: material.id,
            label:
              material.like === undefined ? material.name : words('edit-dressing.own-named', { name: material.name }),
          })),
          { id: OWN, label: words('edit-dressing.own-material') },
        ]}
        value={value}
        none={value === null ? words('edit-dressing.no-material') : undefined}
        onChange={(id) => {
          setMaking(id === OWN);
          if (id !== null && id !== OWN) onChange(id);
        }}
      />
      {making || chosen?.like !== undefined ? (
        <OwnMaterial
          key={making ? OWN : chosen!.id}
          was={making ? null : chosen!}
          fitting={fitting.filter((material) => material.like === undefined)}
          onPut={(id) => {
            setMaking(false);
            onChange(id);
          }}
        />
      ) : null}
    </View>
  );
}
