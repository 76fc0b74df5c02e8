import { useState } from 'react';
import { View } from 'react-native';
import { hexOfLab, isShown, labOfHex, parseColour, shadeOf, wetHex } from '@/core/colour';
import type { MaterialShade } from '@/core/materials';
import { countStash, deleteStash, leftOf, setStash, tickStash, type StashRecord } from '@/records';
import { useAct } from '@/state';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Button, Field, Fold, Say, Tile, TickBox } from '@/ui/primitives';
import { Swatch } from '@/ui/drawings';
import { colourSaid } from './colour-said';
import { ShadeFromPhoto } from './shade-from-photo';
import { hexOf, type StashRow } from './stash-rows';

/** A material opened: what it does, its shades to be ticked, and what is known of those that are had. */
export function MaterialOpen({ row }: { row: StashRow }) {
  const words = useWords();
  const { material, shades, had } = row;
  return (
    <View className="gap-4 px-5 pb-4">
      <Facts row={row} />
      {shades.length > 0 ? (
        <View
          role="group"
          aria-label={words('stash.shades-of', { name: material.name })}
          className="flex-row flex-wrap gap-2"
        >
          {shades.map((shade) => (
            <ShadeTile key={shade.id} row={row} shade={shade} />
          ))}
        </View>
      ) : null}
      {had.map((own) => (
        <Had key={own.id} row={row} own={own} />
      ))}
      <OwnShade row={row} />
    </View>
  );
}

/** What a material does and asks for, in words. */
function Facts({ row: { material } }: { row: StashRow }) {
  const words = useWords();
  const speech = useSpeech();
  const [largest, smallest] = material.hooks;
  const lines = [
    speech.beside([
      words(material.floats ? 'stash.fact.floats' : 'stash.fact.sinks'),
      words(
        material.absorbency < 0.25
          ? 'stash.fact.sheds'
          : material.absorbency > 0.6
            ? 'stash.fact.soaks'
            : 'stash.fact.damp',
      ),
      material.transmittance >= 0.25 && words('stash.fact.clear'),
      material.sparkle >= 0.6 && words('stash.fact.sparkles'),
      material.fragility >= 0.6 && words('stash.fact.breaks'),
      words('stash.fact.hooks', { largest, smallest }),
    ]),
    speech.beside([
      ...material.needs.map((need) => words(`stash.need.${need}`)),
      material.usable_mm !== null && words('stash.fact.winds', { mm: speech.length(material.usable_mm) }),
    ]),
    words('stash.fact.does', {
      what: speech.clauses(material.functions.map((id) => speech.plain('functions', id))),
      how: speech.plain('evidence', material.evidence),
    }),
  ];
  return (
    <View className="gap-1">
      {lines.filter(Boolean).map((line) => (
        <Say key={line} size="small" tone="soft">
          {line}
        </Say>
      ))}
      {material.caution ? (
        <Say size="small" tone="straw">
          {speech.caution(material.caution)}
        </Say>
      ) : null}
      {material.protection ? (
        <Say size="small" tone="straw">
          {words(`stash.protection.${material.protection}`)}
        </Say>
      ) : null}
    </View>
  );
}

function ShadeTile({ row: { material, had }, shade }: { row: StashRow; shade: MaterialShade }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const red = useRedLamp();
  const on = had.some(({ shadeId }) => shadeId === shade.id);
  return (
    <View className="w-[104px]">
      <Tile
        ticked={on}
        spoken={words('stash.shade-spoken', { shade: shade.shade, word: speech.shade(shadeOf(labOfHex(shade.hex))) })}
        onPress={() => act(tickStash, { items: [{ materialId: material.id, shadeId: shade.id }], on: !on })}
      >
        <View className="gap-1 p-2">
          <View className="flex-row items-center justify-between gap-1">
            <Swatch
              shape={material.drawn}
              dry={red ? null : shade.hex}
              wet={red ? null : wetHex(shade.hex, material.absorbency)}
              width={52}
            />
            <TickBox on={on} />
          </View>
          <Say size="small">{shade.shade}</Say>
          {shade.bright ? (
            <Say size="small" tone="soft">
              {words('stash.bright')}
            </Say>
          ) : null}
        </View>
      </Tile>
    </View>
  );
}

/** What is known of one that is had: how much, from when on it is low, where it lies, what it measured. */
function Had({ row: { material, shades }, own }: { row: StashRow; own: StashRecord & { id: string } }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const shade = shades.find(({ id }) => id === own.shadeId)?.shade ?? own.shade;
  const left = leftOf(own);
  const name = shade === '' ? material.name : shade;
  const unit = words(`stash.unit.${material.counted}`);
  const hex = hexOf(own, shades)?.hex ?? null;
  return (
    <Fold
      title={name}
      line={speech.beside([
        left === null
          ? words('stash.not-counted')
          : words('stash.left', { left: speech.number(left, Number.isInteger(left) ? 0 : 1), unit }),
        own.place,
        own.note,
      ])}
    >
      <View className="flex-row gap-3">
        <NumberField
          label={words('stash.amount', { unit })}
          value={left}
          onNumber={(value) => act(countStash, { id: own.id, left: value })}
        />
        <NumberField
          label={words('stash.low-mark')}
          value={own.low}
          onNumber={(low) => act(setStash, { id: own.id, low })}
          onNone={() => act(setStash, { id: own.id, low: null })}
        />
      </View>
      <Field label={words('stash.place')} value={own.place} onType={(place) => act(setStash, { id: own.id, place })} />
      <Field label={words('stash.note')} value={own.note} onType={(note) => act(setStash, { id: own.id, note })} />
      <Field label={words('stash.label')} value={own.label} onType={(label) => act(setStash, { id: own.id, label })} />
      <Measured own={own} hex={hex} />
      <ShadeFromPhoto
        name={name}
        drawn={material.drawn}
        absorbency={material.absorbency}
        onTake={(measured) => act(setStash, { id: own.id, hex: measured })}
      />
      <Button
        kind="quiet"
        className="-ml-4 self-start"
        label={words('stash.remove', { name })}
        onPress={() => act(deleteStash, { id: own.id })}
      />
    </Fold>
  );
}

/** What is typed while it is none of what is asked stays in the field, with its fault. */
function useTyped<T>(value: string, read: (text: string) => T | null, take: (value: T) => void) {
  const [typed, setTyped] = useState<string | null>(null);
  const onType = (text: string) => {
    const found = read(text);
    setTyped(found === null ? text : null);
    if (found !== null) take(found);
  };
  return { text: typed ?? value, wrong: typed !== null && typed.trim() !== '', onType };
}

const MOST = 100_000;

function NumberField({
  label,
  value,
  onNumber,
  onNone,
}: {
  label: string;
  value: number | null;
  onNumber: (value: number) => void;
  onNone?: () => void;
}) {
  const words = useWords();
  const { text, wrong, onType } = useTyped(
    value === null ? '' : String(value),
    (said) => {
      const read = Number(said.trim().replace(',', '.'));
      return said.trim() !== '' && !/[.,]$/.test(said.trim()) && read >= 0 && read <= MOST ? read : null;
    },
    onNumber,
  );
  return (
    <View className="min-w-0 flex-1">
      <Field
        label={label}
        value={text}
        onType={(said) => {
          if (said.trim() === '') onNone?.();
          onType(said);
        }}
        numeric
        error={wrong ? words('stash.amount-wrong') : null}
      />
    </View>
  );
}

/** Its colour as it was measured, beside what its label says: both stay. */
function Measured({ own, hex }: { own: StashRecord & { id: string }; hex: string | null }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { text, wrong, onType } = useTyped(
    own.hex ?? '',
    (said) => {
      const read = parseColour(said);
      return read && isShown(read.lab) ? said : null;
    },
    (said) => act(setStash, { id: own.id, hex: parseColour(said)!.hex }),
  );
  return (
    <Field
      label={words('stash.measured')}
      hint={
        hex
          ? words('stash.measured-hint', { shade: speech.shade(shadeOf(labOfHex(hex))) })
          : words('natural.colour-hint')
      }
      value={text}
      onType={(said) => {
        if (said.trim() === '' && own.hex) act(setStash, { id: own.id, hex: null });
        onType(said);
      }}
      error={wrong ? words('stash.near-wrong') : null}
    />
  );
}

/** A shade that nobody ships, in the tier's own word and its colour. */
function OwnShade({ row: { material, shades, had } }: { row: StashRow }) {
  const words = useWords();
  const act = useAct();
  const [shade, setShade] = useState('');
  const [colour, setColour] = useState('');
  const name = shade.trim();
  const lab = colour.trim() === '' ? null : colourSaid(colour, words);
  const shown = lab !== null && isShown(lab);
  const taken = [...shades.map((own) => own.shade), ...had.map((own) => own.shade)].some(
    (known) => known.toLowerCase() === name.toLowerCase() && name !== '',
  );
  const put = () => {
    act(tickStash, { items: [{ materialId: material.id, shadeId: null, shade: name, hex: hexOfLab(lab!) }], on: true });
    setShade('');
    setColour('');
  };
  return (
    <Fold title={words('stash.own-shade')} line={words('stash.own-shade-line')}>
      <Field
        label={words('stash.own-name')}
        value={shade}
        onType={setShade}
        error={taken ? words('stash.own-taken') : null}
      />
      <Field
        label={words('stash.own-colour')}
        hint={words('natural.colour-hint')}
        value={colour}
        onType={setColour}
        error={colour.trim() === '' || shown ? null : words(lab === null ? 'stash.near-wrong' : 'stash.not-shown')}
      />
      <ShadeFromPhoto
        name={name === '' ? material.name : name}
        drawn={material.drawn}
        absorbency={material.absorbency}
        onTake={setColour}
      />
      <Button label={words('stash.own-put')} disabled={name === '' || taken || !shown} onPress={put} />
      {name === '' || !shown ? (
        <Say size="small" tone="soft">
          {words('stash.own-needs')}
        </Say>
      ) : null}
    </Fold>
  );
}
