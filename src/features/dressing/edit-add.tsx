import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import type { PartId } from '@/catalogue/ids';
import { DRESSINGS, tailsOf } from '@/catalogue';
import { dressingFaults } from '@/core/faults';
import { addPart, newPartId, type Dressing, type DressingFault, type Station } from '@/core/dressings';
import { addByWay, materialsOf, waysOf } from '@/core/ways';
import { useApp } from '@/state';
import { selectCatalogue } from '@/state/answering';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Heading, Pick, Say } from '@/ui/primitives';
import { CheckLines } from './check-lines';
import { MaterialPick } from './edit-material';
import { WherePick } from './edit-where';

/** What the bench says of it, at most. */
const SAID = 3;

type Catalogue = ReturnType<typeof selectCatalogue>;

/** Says of a dressing what the bench would refuse that it does not refuse of this one already. */
function newFaults(before: Dressing, catalogue: Catalogue): (after: Dressing) => DressingFault[] {
  const all = { ...catalogue, tailsOf };
  const name = (fault: DressingFault) => `${fault.code} ${fault.part}`;
  const had = new Set(dressingFaults(before, all).map(name));
  return (after) => dressingFaults(after, all).filter((fault) => !had.has(name(fault)));
}

/** Ways that the bench would refuse as the library usually works them here, found one by one while nothing else waits. */
function useRefused(
  dressing: Dressing,
  what: PartId | null,
  ways: readonly { id: string }[],
  catalogue: Catalogue,
): readonly string[] {
  const [found, setFound] = useState<{ of: unknown; refused: readonly string[] }>({ of: null, refused: NONE });
  useEffect(() => {
    if (what === null) return;
    const refused: string[] = [];
    let faults: ReturnType<typeof newFaults> | null = null;
    let at = 0;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const next = () => {
      const way = ways[at++];
      if (!way) return setFound({ of: ways, refused });
      const made = addByWay(dressing, { what, way: way.id }, DRESSINGS, catalogue);
      faults ??= newFaults(dressing, catalogue);
      if (made && faults(made).length > 0) refused.push(way.id);
      timer = setTimeout(next, 0);
    };
    timer = setTimeout(next, 0);
    return () => clearTimeout(timer);
  }, [dressing, what, ways, catalogue]);
  return found.of === ways ? found.refused : NONE;
}
const NONE: readonly string[] = [];

/** A new part: what it is, how it is made, of what, where; with what the bench would say of it before it is added. */
export function AddPart({ dressing, onChange }: { dressing: Dressing; onChange: (next: Dressing) => void }) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const catalogue = useApp(selectCatalogue);
  const [what, setWhat] = useState<PartId | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const [of, setOf] = useState<readonly string[]>([]);
  const [from, setFrom] = useState<Station | null>(null);
  const kinds = ids.parts.filter(
    (kind) =>
      newPartId(dressing, kind.id as PartId) !== null &&
      waysOf(kind.id as PartId, dressing.style, DRESSINGS, catalogue.ways).length > 0,
  );
  const ways = useMemo(
    () => (what === null ? [] : waysOf(what, dressing.style, DRESSINGS, catalogue.ways)),
    [what, dressing.style, catalogue],
  );
  const refused = useRefused(dressing, what, ways, catalogue);
  // The shorter of the two lists.
  const mostly = refused.length > ways.length / 2;
  const way = ways.find((item) => item.id === chosen) ?? ways[0] ?? null;
  const taken = way ? materialsOf(way, catalogue.materials) : [];
  const made = useMemo(() => {
    if (what === null || way === null) return null;
    const usual = addByWay(dressing, { what, way: way.id, from }, DRESSINGS, catalogue);
    const materials = usual?.parts.find((part) => part.id === newPartId(dressing, what));
    const wanted =
      of.length === 0 || !materials
        ? undefined
        : [materials.material ?? '', ...materials.also].map((id, index) => of[index] ?? id);
    return (
      (wanted ? addByWay(dressing, { what, way: way.id, of: wanted, from }, DRESSINGS, catalogue) : usual) ??
      addPart(dressing, what, DRESSINGS)
    );
  }, [dressing, what, way, of, from, catalogue]);
  const looked = useDeferredValue(made);
  const said = useMemo(() => {
    if (!looked) return [];
    return newFaults(dressing, catalogue)(looked);
    // Worked out for what would be added, not at every key in the rest of the editor.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [looked]);
  const fresh =
    what === null || !made ? null : made.parts.find((part) => !dressing.parts.some((own) => own.id === part.id));
  const start = (kind: PartId | null) => {
    setWhat(kind);
    setChosen(null);
    setOf([]);
    setFrom(null);
  };
  return (
    <View role="group" aria-label={words('edit-dressing.add-title')} className="gap-3 px-5 pt-4">
      <Heading size="small">{words('edit-dressing.add-title')}</Heading>
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-36 flex-1">
          <Pick
            label={words('edit-dressing.what-part')}
            choices={kinds.map((kind) => ({ id: kind.id as PartId, label: kind.name }))}
            value={what}
            none={words('edit-dressing.nothing')}
            onChange={start}
          />
        </View>
        {what && way ? (
          <View className="min-w-36 flex-1">
            <Pick
              label={words('edit-dressing.how')}
              choices={ways.map((item) => ({ id: item.id, label: words(`way.${item.id}`) }))}
              value={way.id}
              onChange={(id) => {
                setChosen(id);
                setOf([]);
              }}
            />
          </View>
        ) : null}
      </View>
      {what && way ? (
        <>
          {taken.map((list, index) => (
            <MaterialPick
              key={`${way.id}${index}`}
              label={words(index === 0 ? 'edit-dressing.of' : 'edit-dressing.of-also')}
              fits={(material) => list.includes(material)}
              value={of[index] ?? (index === 0 ? fresh?.material : fresh?.also[index - 1]) ?? null}
              onChange={(id) => setOf(Object.assign([...of], { [index]: id }))}
            />
          ))}
          {way.lies === 'made' || what === 'head' || what === 'bead' ? null : (
            <WherePick
              dressing={dressing}
              label={words('edit-dressing.where')}
              value={from}
              none={words('edit-dressing.where-usual')}
              onChange={setFrom}
            />
          )}
          {/* What the bench says of it grows as it is worked out: below the button, so that the button stays under the finger. */}
          <View className="flex-row">
            <Button
              kind="main"
              label={words('edit-dressing.add-this', { part: speech.plain('parts', what) })}
              disabled={made === null || made === dressing}
              onPress={() => {
                if (made) onChange(made);
                start(null);
              }}
            />
          </View>
          <View aria-live="polite" className="gap-1">
            {said.length === 0 ? (
              <Say size="small" tone="sedge">
                {words('edit-dressing.would-pass')}
              </Say>
            ) : (
              <Say size="small" tone="straw">
                {words('edit-dressing.would')}
              </Say>
            )}
            <CheckLines faults={said.slice(0, SAID)} />
          </View>
          {refused.length > 0 ? (
            <Say size="small" tone="soft">
              {words(mostly ? 'edit-dressing.ways-passed' : 'edit-dressing.ways-refused', {
                ways:
                  ways
                    .filter(({ id }) => refused.includes(id) !== mostly)
                    .map(({ id }) => words(`way.${id}`))
                    .join(words('edit-dressing.ways-join')) || words('edit-dressing.ways-none'),
              })}
            </Say>
          ) : null}
        </>
      ) : null}
    </View>
  );
}
