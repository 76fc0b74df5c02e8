import { useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import { colourWord, deltaE, isShown, labOfHex, onPlane, shadeOf, wetHex, type Lab } from '@/core/colour';
import { calledHeld, everyHeld, hexHeld, type Held } from '@/core/materials';
import { useApp } from '@/state';
import { selectHeld, selectNamed } from '@/state/answering';
import { Page, useRedLamp, useSpeech, useWidth, useWords } from '@/features/shell';
import { Choose, Heading, Say, WordLink } from '@/ui/primitives';
import { ShadePlane, Swatch } from '@/ui/drawings';
import { Rows } from '@/ui/primitives/rows';
import { ColourAsked } from './colour-asked';
import { colourSaid } from './colour-said';
import { chiefUse } from './stash-rows';
import { UsePick } from './use-pick';

const MARKED = 5;
const ROW_PX = 65;

interface Shown {
  id: string;
  name: string;
  hex: string;
  lab: Lab;
  held: Held;
  /** CIEDE2000 to the colour looked for; null without one. */
  apart: number | null;
}

/** Where a shade stands in the list without a colour that is looked for: by hue, greys first, then from pale to dark. */
function beside(a: Shown, b: Shown): number {
  const [one, other] = [onPlane(a.lab), onPlane(b.lab)];
  const band = (hue: number | null) => (hue === null ? -1 : Math.floor(hue / 15));
  return band(one.hue) - band(other.hue) || other.lightness - one.lightness || a.name.localeCompare(b.name);
}

/** Every shade on one plane, lightness against hue, and the same as a list; the nearest to a colour marked. */
export function ShadeBookScreen() {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  const named = useApp(selectNamed);
  const held = useApp(selectHeld);
  const [text, setText] = useState('');
  const [from, setFrom] = useState<'stash' | 'all'>('all');
  const [use, setUse] = useState<string | null>(null);
  const [width, box] = useWidth();
  const target = text === '' ? null : colourSaid(text, words);
  const shown = target !== null && isShown(target);
  const asked = useDeferredValue(shown ? target.join() : '');
  const all = useMemo(() => (from === 'stash' && held ? held : everyHeld(named)), [from, held, named]);
  const list = useMemo(() => {
    const lab = asked === '' ? null : (asked.split(',').map(Number) as unknown as Lab);
    const own = all
      .filter(({ material, shade }) => !shade?.bright && (use === null || chiefUse(material) === use))
      .map((one): Shown => {
        const hex = hexHeld(one);
        const own_ = labOfHex(hex);
        return {
          id: calledHeld(one).id,
          name: calledHeld(one).name,
          hex,
          lab: own_,
          held: one,
          apart: lab && deltaE(own_, lab),
        };
      });
    return own.sort((a, b) => (a.apart !== null && b.apart !== null ? a.apart - b.apart : beside(a, b)));
  }, [all, asked, use]);
  const nearest = asked === '' ? [] : list.slice(0, MARKED);
  const marked = new Set(nearest.map(({ id }) => id));
  return (
    <Page
      column="list"
      back={{ href: '/drawer/materials', label: words('stash.title') }}
      title={words('shades.title')}
      lead={words('shades.lead', { count: list.length })}
    >
      <View className="gap-3 px-5 py-3">
        <ColourAsked
          title={words('stash.near')}
          none={words('stash.near-none')}
          text={text}
          onType={setText}
          fault={text === '' || shown ? null : words(target === null ? 'stash.near-wrong' : 'stash.not-shown')}
        />
        <View className="flex-row flex-wrap items-end gap-3">
          {held ? (
            <Choose
              label={words('blend.from')}
              choices={[
                { id: 'all', label: words('blend.all') },
                { id: 'stash', label: words('blend.stash') },
              ]}
              value={from}
              onChange={setFrom}
            />
          ) : null}
          <UsePick use={use} onUse={setUse} />
        </View>
      </View>
      {red ? null : (
        <View {...box} className="border-y border-line bg-plane">
          {width > 0 ? (
            <ShadePlane
              width={width}
              label={
                nearest.length > 0
                  ? words('shades.found', { names: speech.list(nearest.map(({ name }) => name)) })
                  : words('shades.plane', { count: list.length })
              }
              target={shown ? onPlane(target) : null}
              points={list.map(({ id, hex, lab }) => ({ id, hex, ...onPlane(lab), marked: marked.has(id) }))}
            />
          ) : null}
          <Say size="small" tone="soft" className="px-5 py-1">
            {words('shades.axes')}
          </Say>
        </View>
      )}
      <Heading size="small" className="px-5 pb-1 pt-5">
        {words(asked === '' ? 'shades.by-hue' : 'shades.by-near')}
      </Heading>
      <ShadeList list={list} />
    </Page>
  );
}

function ShadeList({ list: shades }: { list: readonly Shown[] }) {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  if (shades.length === 0)
    return (
      <Say tone="soft" className="px-5 py-3">
        {words('stash.none-found')}
      </Say>
    );
  return (
    <Rows label={words('shades.title')} rows={shades} tall={ROW_PX}>
      {(own) => (
        <View className="flex-row items-center gap-3 border-b border-line px-5 py-2">
          <Swatch
            shape={own.held.material.drawn}
            dry={red ? null : own.hex}
            wet={red ? null : wetHex(own.hex, own.held.material.absorbency)}
            width={52}
          />
          <View className="min-w-0 flex-1">
            <Say>{own.name}</Say>
            <Say size="small" tone="soft">
              {speech.beside([
                own.apart !== null && !red && speech.plain('colour-words', colourWord(own.apart)),
                speech.shade(shadeOf(own.lab)),
              ])}
            </Say>
          </View>
          {own.held.material.drawn === 'lock' ? (
            <WordLink
              small
              spoken={words('shades.blend-of', { name: own.name })}
              to={{ pathname: '/drawer/blend', params: { hex: own.hex.slice(1), wet: 'no' } }}
            >
              {words('shades.blend')}
            </WordLink>
          ) : null}
        </View>
      )}
    </Rows>
  );
}
