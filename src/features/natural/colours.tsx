import { useState } from 'react';
import { View } from 'react-native';
import { labOfShade, stageRow } from '@/catalogue';
import type { RegionId, StageId } from '@/catalogue/ids';
import { hexOfLab, labOfHex, shadeOf, wetHex } from '@/core/colour';
import { sayShade, typeColour, type SampleRecord } from '@/records';
import { useAct } from '@/state';
import { ALL_HUES, shadeSaid, ShadeWords, shadeWord } from '@/features/colour-words';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Field, Fold, Say } from '@/ui/primitives';

/** Before a stage is known. */
const COMMON: readonly RegionId[] = ['abdomen-belly', 'abdomen-back', 'thorax-belly', 'thorax-back', 'wing', 'legs'];

type Coloured = Pick<SampleRecord, 'colours' | 'shades' | 'unread' | 'surface'>;

/** Regions that a stage has, and those of which a colour was given all the same. */
export function regionsOf({ colours, shades, unread }: Coloured, stage: StageId | null): RegionId[] {
  const asked = stage ? stageRow(stage).regions : COMMON;
  const given = [...Object.keys(colours), ...Object.keys(shades), ...Object.keys(unread)] as RegionId[];
  return [...asked, ...given.filter((id, index) => !asked.includes(id) && given.indexOf(id) === index)];
}

/** The colour of a region as it was measured or said; null while nothing is known of it. */
export function hexOf({ colours, shades }: Coloured, region: RegionId): string | null {
  const lab = shades[region] ? labOfShade(shades[region]) : null;
  return colours[region] ?? (lab ? hexOfLab(lab) : null);
}

/** Colours by region, each a line with its word; opened, a sheet of swatches and a field for an exact one. */
export function Colours({ sampleId, stage, ...sample }: Coloured & { sampleId: string; stage: StageId | null }) {
  const words = useWords();
  const red = useRedLamp();
  const [open, setOpen] = useState<RegionId | null>(null);
  return (
    <View>
      {red ? (
        <Say size="small" tone="straw">
          {words('plate.red')}
        </Say>
      ) : null}
      {regionsOf(sample, stage).map((region) => (
        <ColourLine
          key={region}
          sampleId={sampleId}
          region={region}
          sample={sample}
          open={open === region}
          onToggle={() => setOpen(open === region ? null : region)}
        />
      ))}
    </View>
  );
}

interface ColourLineProps {
  sampleId: string;
  region: RegionId;
  sample: Coloured;
  open: boolean;
  onToggle: () => void;
}

function ColourLine({ sampleId, region, sample, open, onToggle }: ColourLineProps) {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  const name = speech.plain('regions', region);
  const hex = hexOf(sample, region);
  const word =
    hex && !red ? speech.shade(shadeOf(labOfHex(hex))) : words(hex ? 'natural.colour-given' : 'natural.colour-none');
  return (
    <Fold
      title={words('natural.colour-of', { region: name })}
      line={word}
      open={open}
      onToggle={onToggle}
      face={
        <>
          <Patch hex={red ? null : hex} surface={sample.surface} />
          <Say weight="medium" className="min-w-0 flex-1">
            {name}
          </Say>
          <Say size="small" tone={hex ? 'ink' : 'soft'}>
            {word}
          </Say>
        </>
      }
    >
      <ColourAsked sampleId={sampleId} region={region} sample={sample} name={name} />
    </Fold>
  );
}

/** A colour dry over what it becomes wet; an empty frame for none. */
function Patch({ hex, surface }: { hex: string | null; surface: SampleRecord['surface'] }) {
  return (
    <View aria-hidden className="h-9 w-14 overflow-hidden rounded-control border border-edge">
      {hex ? (
        <>
          <View style={{ backgroundColor: hex, flex: 1 }} />
          <View style={{ backgroundColor: surface === 'dry' ? wetHex(hex) : hex, flex: 1 }} />
        </>
      ) : null}
    </View>
  );
}

/** The swatches of a region, and a field that takes a word, hex or Lab. */
function ColourAsked({
  sampleId,
  region,
  sample,
  name,
}: Pick<ColourLineProps, 'sampleId' | 'region' | 'sample'> & { name: string }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const unread = sample.unread[region];
  const type = (text: string) => {
    const shade = shadeSaid(text, words);
    if (shade) act(sayShade, { sampleId, region, shade });
    else act(typeColour, { sampleId, region, text });
  };
  const said = sample.shades[region] ?? null;
  return (
    <View className="gap-3">
      <ShadeWords
        label={words('words.of', { region: name })}
        none={words('words.none')}
        hues={ALL_HUES}
        value={said}
        onChange={(shade) => act(sayShade, { sampleId, region, shade })}
      />
      <Field
        label={words('natural.colour-exact', { region: name })}
        hint={words('natural.colour-hint')}
        value={unread ?? sample.colours[region] ?? (said ? shadeWord(said, words) : '')}
        onType={type}
        error={unread ? speech.say({ code: 'colour-unread', params: { got: unread } }, 'fault') : null}
      />
    </View>
  );
}
