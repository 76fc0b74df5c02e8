import { useState } from 'react';
import { View } from 'react-native';
import {
  AIR_C,
  CLARITIES,
  placeOuting,
  SKIES,
  setOuting,
  setWater,
  WATER_C,
  WATER_LEVELS,
  WINDS,
  type OutingRecord,
  type WaterRecord,
} from '@/records';
import type { WaterKindId } from '@/catalogue/ids';
import { clockOf, knownZone, lightOf, placeTenth } from '@/core/hatch';
import { hoursAhead, zoneAt } from '@/core/hatch/zone';
import { sizeLabelOf } from '@/core/hooks';
import { useAct } from '@/state';
import { NumberField } from '@/features/length-field';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Field, Fold, Pick, Say, Toggle, When } from '@/ui/primitives';
import { aheadText, loggedText } from './came';
import { NEW_WATER, WaterChoice } from './water-choice';

const UNSAID = '';
/** A tenth of a degree needs no satellite, an hour ago is soon enough, and between cliffs nobody waits without end. */
const WHERE_ASKED = { enableHighAccuracy: false, maximumAge: 3_600_000, timeout: 20_000 } as const;

/** How the water and the day were: level, clarity, wind, sky, temperatures. */
export function StateFold({ id, outing }: { id: string; outing: OutingRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const degrees = (value: number | null | undefined, key: string) =>
    value === null || value === undefined ? '' : words(key, { c: speech.number(value, 1) });
  const pick = <T extends string>(field: 'level' | 'clarity' | 'wind' | 'sky', all: readonly T[]) => (
    <View key={field} className="min-w-36 flex-1">
      <Pick
        label={words(`out.${field}`)}
        choices={[
          { id: UNSAID, label: words('out.unsaid') },
          ...all.map((own) => ({ id: own as string, label: words(`out.${field}s.${own}`) })),
        ]}
        value={outing[field] ?? UNSAID}
        onChange={(next) => act(setOuting, { outingId: id, [field]: next === UNSAID ? null : next })}
      />
    </View>
  );
  const line = speech.beside([
    outing.level && words(`out.levels.${outing.level}`),
    outing.clarity && words(`out.claritys.${outing.clarity}`),
    outing.wind && words(`out.winds.${outing.wind}`),
    outing.sky && words(`out.skys.${outing.sky}`),
    outing.temps.length > 1 ? loggedText(outing, speech) : degrees(outing.waterC, 'out.water-is'),
    degrees(outing.airC, 'out.air-is'),
  ]);
  return (
    <Fold wide title={words('out.state')} line={line || words('out.state-none')}>
      <Where id={id} outing={outing} />
      <View className="flex-row flex-wrap gap-3">
        {pick('level', WATER_LEVELS)}
        {pick('clarity', CLARITIES)}
        {pick('wind', WINDS)}
        {pick('sky', SKIES)}
      </View>
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-36 flex-1">
          <NumberField
            label={words('out.water-c')}
            value={outing.waterC ?? null}
            range={WATER_C}
            onChange={(waterC) => act(setOuting, { outingId: id, waterC })}
          />
        </View>
        <View className="min-w-36 flex-1">
          <NumberField
            label={words('out.air-c')}
            value={outing.airC ?? null}
            range={AIR_C}
            onChange={(airC) => act(setOuting, { outingId: id, airC })}
          />
        </View>
      </View>
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-44 flex-1">
          <When
            label={words('out.began')}
            value={outing.start}
            onChange={(start) => act(setOuting, { outingId: id, start })}
          />
        </View>
        {outing.end ? (
          <View className="min-w-44 flex-1">
            <When
              label={words('out.ended-at')}
              value={outing.end}
              onChange={(end) => act(setOuting, { outingId: id, end })}
            />
          </View>
        ) : null}
      </View>
      <View className="flex-row">
        <Field
          label={words('out.note')}
          value={outing.note}
          onType={(note) => act(setOuting, { outingId: id, note })}
        />
      </View>
    </Fold>
  );
}

/** Where it was: another water that is known, or one that is named now. */
function Where({ id, outing }: { id: string; outing: OutingRecord }) {
  const words = useWords();
  const act = useAct();
  const [naming, setNaming] = useState(false);
  const [name, setName] = useState('');
  return (
    <View className="flex-row flex-wrap items-end gap-3">
      <WaterChoice
        value={naming || !outing.waterId ? NEW_WATER : outing.waterId}
        onChange={(water) => {
          setNaming(water === NEW_WATER);
          if (water !== NEW_WATER) act(placeOuting, { outingId: id, water });
        }}
        name={name}
        onName={setName}
      />
      {naming || !outing.waterId ? (
        <Button
          label={words('out.name-it')}
          disabled={name.trim() === ''}
          onPress={() => {
            act(placeOuting, { outingId: id, water: { name: name.trim() } });
            setNaming(false);
            setName('');
          }}
        />
      ) : null}
    </View>
  );
}

const RULES = ['any', 'flattened', 'barbless'] as const;
const ALLOWED = ['lead', 'bead', 'weight', 'indicator'] as const;

/** What is allowed on a water, as the tier noted it: checked at the team, and never a verdict. */
export function RulesFold({ id, water }: { id: string; water: WaterRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const set = (more: Partial<Omit<WaterRecord, 'demo'>>) => act(setWater, { waterId: id, ...more });
  const line = speech.beside([
    water.maxFlies && words('out.rule-flies', { count: water.maxFlies }),
    water.barbRule !== 'any' && words(`out.barbs.${water.barbRule}`),
    ...ALLOWED.map((own) => !water[own] && words(`out.no.${own}`)),
    water.hookLargest !== null &&
      water.hookLargest !== undefined &&
      words('out.rule-largest', { size: sizeLabelOf(water.hookLargest) }),
    water.hookLongestMm && words('out.rule-longest', { mm: speech.number(water.hookLongestMm, 1) }),
    water.permit,
  ]);
  return (
    <Fold wide title={words('out.rules', { water: water.name })} line={line || words('out.rules-none')}>
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-36 flex-1">
          <Field label={words('out.water-name')} value={water.name} onType={(name) => name.trim() && set({ name })} />
        </View>
        <View className="min-w-36 flex-1">
          <NumberField
            whole
            label={words('out.most-flies')}
            value={water.maxFlies ?? null}
            range={[1, 10]}
            onChange={(maxFlies) => set({ maxFlies })}
          />
        </View>
        <View className="min-w-36 flex-1">
          <Pick
            label={words('out.barb')}
            choices={RULES.map((own) => ({ id: own, label: words(`out.barbs.${own}`) }))}
            value={water.barbRule}
            onChange={(barbRule) => set({ barbRule: barbRule ?? 'any' })}
          />
        </View>
      </View>
      <View className="flex-row flex-wrap gap-3">
        {ALLOWED.map((own) => (
          <Toggle key={own} label={words(`out.allowed.${own}`)} on={water[own]} onChange={(on) => set({ [own]: on })} />
        ))}
      </View>
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-36 flex-1">
          <NumberField
            whole
            label={words('out.hook-largest')}
            value={water.hookLargest ?? null}
            range={[0, 32]}
            onChange={(hookLargest) => set({ hookLargest })}
          />
        </View>
        <View className="min-w-36 flex-1">
          <NumberField
            label={words('out.hook-longest')}
            value={water.hookLongestMm ?? null}
            range={[2, 200]}
            onChange={(hookLongestMm) => set({ hookLongestMm })}
          />
        </View>
        <View className="min-w-36 flex-1">
          <Pick
            label={words('out.kind')}
            choices={[
              { id: UNSAID, label: words('out.unsaid') },
              ...speech.ids['water-kinds'].map(({ id: own, name }) => ({ id: own, label: name })),
            ]}
            value={water.kind ?? UNSAID}
            onChange={(kind) => set({ kind: kind === UNSAID || kind === null ? null : (kind as WaterKindId) })}
          />
        </View>
      </View>
      <View className="flex-row">
        <Field label={words('out.permit')} value={water.permit} onType={(permit) => set({ permit })} />
      </View>
    </Fold>
  );
}

/** Where a water is, to a tenth of a degree: typed, or as this device has it. Its sunrise and dark are told by it, and no spot on a bank. */
export function PlaceFold({ id, water, day }: { id: string; water: WaterRecord; day: string }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { place } = water;
  const [typed, setTyped] = useState<{ lat: number | null; lon: number | null }>({ lat: null, lon: null });
  const [asked, setAsked] = useState<'not' | 'asked' | 'silent'>('not');
  const set = (lat: number | null, lon: number | null) => {
    if (lat === null || lon === null) return setTyped({ lat, lon });
    setTyped({ lat: null, lon: null });
    const at = { lat: placeTenth(lat), lon: placeTenth(lon) };
    act(setWater, { waterId: id, place: { ...at, zone: zoneAt(at.lat, at.lon) } });
  };
  const zone = knownZone(place?.zone ?? null);
  const ahead = zone === null ? null : hoursAhead(zone, day);
  const light = place ? lightOf(day, { ...place, zone }) : null;
  const line = light
    ? words('out.place-is', {
        lat: speech.number(place!.lat, 1),
        lon: speech.number(place!.lon, 1),
        rise: clockOf(light.rise),
        set: clockOf(light.set),
      })
    : words('out.place-none');
  const here = () => {
    if (!('geolocation' in navigator)) return setAsked('silent');
    setAsked('asked');
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        setAsked('not');
        set(coords.latitude, coords.longitude);
      },
      () => setAsked('silent'),
      WHERE_ASKED,
    );
  };
  return (
    <Fold wide title={words('out.place', { water: water.name })} line={line}>
      <Say size="small" tone="soft">
        {words('out.place-why')}
        {place
          ? ` ${ahead === null ? words('out.place-clock-device') : words('out.place-clock', { h: aheadText(ahead) })}`
          : null}
      </Say>
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-36 flex-1">
          <NumberField
            label={words('out.lat')}
            value={typed.lat ?? place?.lat ?? null}
            range={[-90, 90]}
            onChange={(lat) => set(lat, typed.lon ?? place?.lon ?? null)}
          />
        </View>
        <View className="min-w-36 flex-1">
          <NumberField
            label={words('out.lon')}
            value={typed.lon ?? place?.lon ?? null}
            range={[-180, 180]}
            onChange={(lon) => set(typed.lat ?? place?.lat ?? null, lon)}
          />
        </View>
      </View>
      <View className="flex-row flex-wrap gap-2">
        <Button label={words('out.place-here')} onPress={here} />
        {place && ahead === null ? (
          <Button kind="quiet" label={words('out.place-clock-there')} onPress={() => set(place.lat, place.lon)} />
        ) : null}
        {place ? (
          <Button
            kind="quiet"
            label={words('out.place-forget')}
            onPress={() => {
              setTyped({ lat: null, lon: null });
              act(setWater, { waterId: id, place: null });
            }}
          />
        ) : null}
      </View>
      {asked === 'asked' ? (
        <Say tone="soft" live>
          {words('out.place-asked')}
        </Say>
      ) : asked === 'silent' ? (
        <Say tone="dawn" live>
          {words('out.place-wrong')}
        </Say>
      ) : null}
    </Fold>
  );
}
