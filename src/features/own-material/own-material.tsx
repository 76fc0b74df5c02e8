import { useState } from 'react';
import { View } from 'react-native';
import { labOfShade } from '@/catalogue';
import { hexOfLab, parseColour } from '@/core/colour';
import { materialOf, type Material } from '@/core/materials';
import { forgetMaterial, keepMaterial, makeMaterial } from '@/records';
import { useAct, useApp } from '@/state';
import { selectCatalogue, selectOwnDressings } from '@/state/answering';
import { shadeSaid } from '@/features/colour-words';
import { useWords } from '@/features/shell';
import { Button, Field, Pick, Say } from '@/ui/primitives';

/** A material of the tier's own: its name, what it behaves like, its colour. */
export function OwnMaterial({
  was,
  fitting,
  onPut,
}: {
  was: Material | null;
  fitting: readonly Material[];
  onPut: (id: string) => void;
}) {
  const words = useWords();
  const act = useAct();
  const { materials } = useApp(selectCatalogue);
  const used = useApp(selectOwnDressings).some(
    (dressing) => was !== null && JSON.stringify(dressing).includes(`"${was.id}"`),
  );
  const [name, setName] = useState(was?.name ?? '');
  const [like, setLike] = useState<string | null>(was?.like ?? fitting[0]?.id ?? null);
  const [colour, setColour] = useState(was?.hex ?? fitting[0]?.hex ?? '');
  const [tried, setTried] = useState(false);
  const shade = shadeSaid(colour, words);
  const lab = shade ? labOfShade(shade) : null;
  const parsed = lab ? { hex: hexOfLab(lab) } : parseColour(colour);
  const keep = () => {
    setTried(true);
    const made =
      name.trim() === '' || like === null || parsed === null
        ? null
        : materialOf({ id: was?.id ?? 'own', name: name.trim(), like, hex: parsed.hex }, materials);
    if (!made) return;
    if (was) act(keepMaterial, { material: made });
    const id = was ? was.id : act(makeMaterial, { material: made });
    if (id !== null) onPut(id);
  };
  return (
    <View
      role="group"
      aria-label={words('edit-dressing.own-material')}
      className="gap-3 rounded-control border border-edge bg-ground p-3"
    >
      <View className="flex-row">
        <Field
          label={words('edit-dressing.own-name')}
          value={name}
          onType={setName}
          error={tried && name.trim() === '' ? words('edit-dressing.needed') : null}
        />
      </View>
      <View className="flex-row">
        <Pick
          label={words('edit-dressing.own-like')}
          choices={fitting.map((material) => ({ id: material.id, label: material.name }))}
          value={like}
          onChange={setLike}
        />
      </View>
      <View className="flex-row items-end gap-3">
        <View
          aria-hidden
          className="h-12 w-12 rounded-control border border-edge"
          style={{ backgroundColor: parsed?.hex }}
        />
        <Field
          label={words('edit-dressing.own-hex')}
          value={colour}
          onType={setColour}
          error={tried && parsed === null ? words('edit-dressing.own-colour-wrong') : null}
          hint={words('edit-dressing.own-colour-hint')}
        />
      </View>
      <View className="flex-row flex-wrap gap-3">
        <Button label={words(was ? 'edit-dressing.own-change' : 'edit-dressing.own-put')} onPress={keep} />
        {was && !used ? (
          <Button
            kind="quiet"
            label={words('edit-dressing.own-forget')}
            onPress={() => act(forgetMaterial, { id: was.id })}
          />
        ) : null}
      </View>
      {was ? (
        <Say size="small" tone="soft">
          {words('edit-dressing.own-everywhere')}
        </Say>
      ) : null}
    </View>
  );
}
