import { useLocalSearchParams } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  colourWord,
  hexOfLab,
  isShown,
  labOfHex,
  shadeOf,
  spread,
  wetHex,
  type Blend,
  type BlendAsked,
  type Lab,
} from '@/core/colour';
import { everyHeld, fleckFor, mixables, type Mixable } from '@/core/materials';
import type { RegionId } from '@/catalogue/ids';
import { keepBlend, setMaterialHex, type MaterialRecord } from '@/records';
import { useAct, useApp } from '@/state';
import { selectHeld, selectNamed } from '@/state/answering';
import { run } from '@/workers';
import { Page, useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Digits, Field, Fold, Heading, Pick, Say, Stepper, Toggle } from '@/ui/primitives';
import { Swatch } from '@/ui/drawings';
import { ColourAsked } from './colour-asked';
import { colourSaid } from './colour-said';
import { ShadeFromPhoto } from './shade-from-photo';

const SHOWN = 4;
const LOOKED_AT = 40;
const WHOLE = 20;
const USUAL_PINCHES = 20;
const AFTER_MS = 250;
const FLECK = [5, 10] as const;

interface Solved {
  asked: string;
  shades: readonly Mixable[];
  blends: Blend[];
  tried: number;
}

/** The best blends for what is asked, worked out beside the page; what is asked anew ends what runs. `asked` is written as JSON, so that the same again is the same. */
function useBlends(shades: readonly Mixable[], asked: string | null) {
  const [solved, setSolved] = useState<Solved | null>(null);
  const [done, setDone] = useState(0);
  const [stopped, setStopped] = useState<string | null>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    if (asked === null || shades.length === 0 || stopped === asked) return;
    const away = new AbortController();
    const start = setTimeout(() => {
      setDone(0);
      setFailed(false);
      const input = { shades: [...shades], asked: JSON.parse(asked) as BlendAsked };
      run('blend', input, { signal: away.signal, onProgress: setDone }).then(
        ({ blends, tried }) => setSolved({ asked, shades, blends: spread(blends, SHOWN), tried }),
        (error: Error) => error.name !== 'AbortError' && setFailed(true),
      );
    }, AFTER_MS);
    return () => {
      clearTimeout(start);
      away.abort();
    };
  }, [asked, shades, stopped]);
  const current = solved && solved.asked === asked && solved.shades === shades ? solved : null;
  return {
    blends: current?.blends ?? null,
    tried: current?.tried ?? 0,
    done,
    failed,
    stopped: stopped !== null && stopped === asked,
    stop: () => setStopped(asked),
    again: () => setStopped(null),
  };
}

/** Colours of the naturals that are known, by match and region. */
function useNaturalColours() {
  const words = useWords();
  const speech = useSpeech();
  const { match, sample } = useApp((state) => state.records.entities);
  return useMemo(
    () =>
      Object.entries(match)
        .sort(([, a], [, b]) => b.opened.localeCompare(a.opened))
        .flatMap(([id, own]) => {
          const natural = sample[own.sampleId];
          return Object.entries(natural?.colours ?? {}).map(([region, hex]) => ({
            id: `${id}|${region}`,
            hex: hex as string,
            surface: natural!.surface,
            label: speech.beside([own.title || words('matches.untitled'), speech.plain('regions', region as RegionId)]),
          }));
        })
        .slice(0, 60),
    [match, sample, speech, words],
  );
}

/** A colour mixed from what is in the drawer, or from all that is sold, to be weighed out in pinches. */
export function BlendScreen() {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  const { hex, wet: asWet } = useLocalSearchParams<{ hex?: string; wet?: string }>();
  const named = useApp(selectNamed);
  const held = useApp(selectHeld);
  const naturals = useNaturalColours();
  const [text, setText] = useState(hex && /^[0-9a-f]{6}$/.test(hex) ? `#${hex}` : '');
  const [natural, setNatural] = useState<string | null>(null);
  const [wet, setWet] = useState(asWet !== 'no');
  const [from, setFrom] = useState<'stash' | 'all'>(held ? 'stash' : 'all');
  const [parts, setParts] = useState<'1' | '2' | '3'>('3');
  const [under, setUnder] = useState('');
  const [fleck, setFleck] = useState(false);
  const [pinches, setPinches] = useState(USUAL_PINCHES);
  const choice = useMemo(() => (from === 'stash' && held ? held : everyHeld(named)), [from, held, named]);
  const shades = useMemo(() => mixables(choice), [choice]);
  const target = text === '' ? null : colourSaid(text, words);
  const below = under === '' ? null : colourSaid(under, words);
  const shown = target !== null && isShown(target);
  const belowHex = below && isShown(below) ? hexOfLab(below) : null;
  const asked: BlendAsked | null =
    target !== null && shown
      ? { target, wet, over: belowHex, parts: Number(parts) as 1 | 2 | 3, top: LOOKED_AT }
      : null;
  const found = useBlends(shades, asked && JSON.stringify(asked));
  const flash = fleck && shown ? fleckFor(choice, target) : null;
  return (
    <Page
      column="list"
      back={{ href: '/drawer/materials', label: words('stash.title') }}
      title={words('blend.title')}
      lead={words('blend.lead')}
    >
      <View className="gap-4 px-5 py-3">
        {naturals.length > 0 ? (
          <View className="flex-row">
            <Pick
              label={words('blend.natural')}
              choices={naturals.map(({ id, label }) => ({ id, label }))}
              value={natural}
              none={words('blend.natural-none')}
              onChange={(id) => {
                setNatural(id);
                const own = naturals.find((one) => one.id === id);
                if (own) {
                  setText(own.hex);
                  setWet(own.surface === 'wet');
                }
              }}
            />
          </View>
        ) : null}
        <ColourAsked
          title={words('blend.target')}
          none={words('blend.target-none')}
          text={text}
          onType={(said) => {
            setText(said);
            setNatural(null);
          }}
          fault={text === '' || shown ? null : words(target === null ? 'stash.near-wrong' : 'stash.not-shown')}
        >
          <ShadeFromPhoto
            name={words('blend.target')}
            drawn="lock"
            absorbency={0.5}
            onTake={(hex) => {
              setText(hex);
              setNatural(null);
              setWet(false);
            }}
          />
        </ColourAsked>
        <Choose
          label={words('blend.seen')}
          choices={[
            { id: 'wet', label: words('blend.wet') },
            { id: 'dry', label: words('blend.dry') },
          ]}
          value={wet ? 'wet' : 'dry'}
          onChange={(id) => setWet(id === 'wet')}
        />
        {held ? (
          <Choose
            label={words('blend.from')}
            choices={[
              { id: 'stash', label: words('blend.stash') },
              { id: 'all', label: words('blend.all') },
            ]}
            value={from}
            onChange={setFrom}
          />
        ) : null}
        <Fold
          title={words('blend.more')}
          line={speech.beside([words('blend.parts-n', { count: Number(parts) }), under, fleck && words('blend.fleck')])}
        >
          <Choose
            label={words('blend.parts')}
            choices={(['1', '2', '3'] as const).map((id) => ({ id, label: id }))}
            value={parts}
            onChange={setParts}
          />
          <Field
            label={words('blend.under')}
            hint={words('blend.under-hint')}
            value={under}
            onType={setUnder}
            error={under === '' || belowHex ? null : words(below === null ? 'stash.near-wrong' : 'stash.not-shown')}
          />
          <Toggle label={words('blend.fleck')} on={fleck} onChange={setFleck} />
        </Fold>
        <Found
          {...{ found, asked, shades, red, pinches, target: shown ? target : null }}
          flash={flash}
          onPinches={setPinches}
        />
      </View>
      <Kept />
    </Page>
  );
}

interface FoundProps {
  found: ReturnType<typeof useBlends>;
  asked: BlendAsked | null;
  shades: readonly Mixable[];
  red: boolean;
  target: Lab | null;
  flash: Mixable | null;
  pinches: number;
  onPinches: (pinches: number) => void;
}

/** What was found, or why nothing is. */
function Found({ found, asked, shades, red, target, flash, pinches, onPinches }: FoundProps) {
  const words = useWords();
  if (shades.length === 0) return <Say tone="soft">{words('blend.nothing')}</Say>;
  if (asked === null || target === null) return <Say tone="soft">{words('blend.waits')}</Say>;
  if (found.failed) return <Say tone="dawn">{words('blend.failed')}</Say>;
  if (found.stopped)
    return (
      <View className="items-start gap-3">
        <Say tone="soft">{words('blend.stopped')}</Say>
        <Button label={words('try-again')} onPress={found.again} />
      </View>
    );
  if (found.blends === null)
    return (
      <View className="items-start gap-3">
        <Say live>{words('blend.works', { share: Math.round(100 * found.done), count: shades.length })}</Say>
        <Button label={words('blend.stop')} onPress={found.stop} />
      </View>
    );
  return (
    <View className="gap-4">
      <Stepper label={words('blend.pinches')} value={pinches} low={2} high={400} onChange={onPinches} shown />
      <Say size="small" tone="soft">
        {words('blend.legend')}
      </Say>
      <View role="list" aria-label={words('blend.found')} className="border-t border-line">
        {found.blends.map((blend, index) => (
          <Mix
            key={blend.parts.map(({ id, twentieths }) => `${id}${twentieths}`).join()}
            {...{ blend, target, red, pinches, flash }}
            wet={asked.wet}
            shades={shades}
            first={index === 0}
          />
        ))}
      </View>
      <Say size="small" tone="soft">
        {words('blend.about', { count: found.tried })}
      </Say>
    </View>
  );
}

function Mix({
  blend,
  target,
  wet,
  red,
  pinches,
  flash,
  shades,
  first,
}: {
  blend: Blend;
  target: Lab;
  wet: boolean;
  red: boolean;
  pinches: number;
  flash: Mixable | null;
  shades: readonly Mixable[];
  first: boolean;
}) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { materials } = useApp(selectNamed);
  const [kept, setKept] = useState(false);
  const named = (id: string) => shades.find((own) => own.id === id)?.name ?? id;
  const word = speech.plain('colour-words', colourWord(blend.deltaE));
  const hex = hexOfLab(target);
  const recipe = blend.parts.map(({ id, twentieths }) => ({ id, name: named(id), twentieths }));
  const keep = () => {
    const most = [...blend.parts].sort((a, b) => b.twentieths - a.twentieths)[0]!;
    const like =
      materials.find(({ id }) => id === most.id) ?? materials.find((own) => most.id.startsWith(`${own.id}-`))!;
    const plain = materials.find(({ id }) => id === (like.of ?? like.id)) ?? like;
    act(keepBlend, {
      material: {
        ...plain,
        name: words('blend.name', { shade: speech.shade(shadeOf(labOfHex(blend.dry))) }),
        hex: blend.dry,
        like: plain.like ?? plain.id,
      },
      recipe,
    });
    setKept(true);
  };
  return (
    <View role="listitem" className="gap-3 border-b border-line py-4">
      <View className="flex-row items-center gap-4">
        <Swatch
          shape="lock"
          dry={red ? null : wet ? blend.dry : hex}
          wet={red ? null : wet ? hex : wetHex(hex)}
          width={72}
        />
        <Swatch shape="lock" dry={red ? null : blend.dry} wet={red ? null : blend.wet} width={72} />
        <View className="min-w-0 flex-1">
          <Say weight="strong">{word}</Say>
          <Say size="small" tone="soft">
            {words('blend.apart', { apart: Math.round(blend.deltaE) })}
          </Say>
        </View>
      </View>
      <View className="gap-1">
        <Recipe recipe={recipe} pinches={pinches} />
        {flash ? (
          <Pinches
            count={`${speech.number((FLECK[0] / 100) * pinches, 1)}–${speech.number((FLECK[1] / 100) * pinches, 1)}`}
            what={words('blend.fleck-of', { name: flash.name })}
          />
        ) : null}
      </View>
      {kept ? (
        <Say size="small" tone="sedge" live>
          {words('blend.kept')}
        </Say>
      ) : (
        <Button
          kind={first ? 'main' : 'plain'}
          className="self-start"
          label={words('blend.keep')}
          spoken={words('blend.keep-spoken', { parts: speech.list(recipe.map(({ name }) => name)) })}
          onPress={keep}
        />
      )}
    </View>
  );
}

/** So many pinches of one thing. */
function Pinches({ count, what }: { count: string; what: string }) {
  return (
    <View className="flex-row items-baseline gap-3">
      <View className="w-14 items-end">
        <Digits>{count}</Digits>
      </View>
      <Say className="min-w-0 flex-1">{what}</Say>
    </View>
  );
}

/** What goes into a blend of so many pinches. */
function Recipe({ recipe, pinches }: { recipe: MaterialRecord['recipe']; pinches: number }) {
  const speech = useSpeech();
  return recipe.map(({ id, name, twentieths }) => (
    <Pinches
      key={id}
      count={speech.number((twentieths / WHOLE) * pinches, (twentieths * pinches) % WHOLE === 0 ? 0 : 1)}
      what={name}
    />
  ));
}

/** Blends that were kept: made again in another amount, and corrected by what the mixed pinch measures. */
function Kept() {
  const words = useWords();
  const material = useApp((state) => state.records.entities.material);
  const blends = Object.entries(material).filter(([, { recipe }]) => recipe.length > 0);
  if (blends.length === 0) return null;
  return (
    <View className="px-5 pb-6 pt-4">
      <Heading size="small">{words('blend.yours')}</Heading>
      {blends.map(([id, own]) => (
        <KeptBlend key={id} id={id} own={own} />
      ))}
    </View>
  );
}

function KeptBlend({ id, own }: { id: string; own: MaterialRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const red = useRedLamp();
  const [pinches, setPinches] = useState(USUAL_PINCHES);
  const [typed, setTyped] = useState<string | null>(null);
  const type = (text: string) => {
    const lab = colourSaid(text, words);
    const good = lab !== null && isShown(lab);
    setTyped(good ? null : text);
    if (good) act(setMaterialHex, { id, hex: hexOfLab(lab) });
  };
  return (
    <Fold
      title={own.name}
      line={speech.list(own.recipe.map(({ name, twentieths }) => words('blend.part', { twentieths, name })))}
      face={
        <>
          <Swatch shape="lock" dry={red ? null : own.hex} wet={red ? null : wetHex(own.hex, 0.5)} width={52} />
          <View className="min-w-0 flex-1">
            <Say weight="medium">{own.name}</Say>
            <Say size="small" tone="soft">
              {words('blend.parts-n', { count: own.recipe.length })}
            </Say>
          </View>
        </>
      }
    >
      <Stepper label={words('blend.pinches')} value={pinches} low={2} high={400} onChange={setPinches} shown />
      <Recipe recipe={own.recipe} pinches={pinches} />
      <Field
        label={words('blend.measured')}
        hint={words('blend.measured-hint')}
        value={typed ?? own.hex}
        onType={type}
        error={typed !== null && typed.trim() !== '' ? words('stash.near-wrong') : null}
      />
      <ShadeFromPhoto
        name={own.name}
        drawn="lock"
        absorbency={0.5}
        onTake={(hex) => {
          setTyped(null);
          act(setMaterialHex, { id, hex });
        }}
      />
    </Fold>
  );
}
