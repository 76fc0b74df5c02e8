import { act, fireEvent, screen } from '@testing-library/react';
import type { ReactElement } from 'react';
import { GROUPS, shippedTexts } from '@/catalogue';
import ids from '@/catalogue/ids.json';
import { BoxScreen, EnterScreen } from '@/features/box/screens';
import { HooksScreen, ModelScreen, PacketsScreen } from '@/features/drawer/screens';
import { DressingEditor, DressingScreen, DressingsScreen, NewDressingScreen } from '@/features/dressing/screens';
import { GroupScreen, GuideScreen } from '@/features/guide';
import { MatchScreen } from '@/features/match-frame/screens';
import { SettingsScreen } from '@/features/shelf/screens';
import { createI18n } from '@/speech';
import en from '@/speech/en.json';
import ui from '@/speech/en-ui.json';
import { DUN, openScreen } from './screen';

const BOX = 'box_demo-valley-box';

const PARTS = / · |, |: /;

interface Row {
  id: string;
  name: string;
  options?: Row[];
}
const texts = (value: unknown): string[] =>
  typeof value === 'string' ? [value] : Object.values(value as object).flatMap(texts);
/** Words that the interface has of its own are no sign of a name. */
const said = new Set(
  [...texts(en), ...texts(ui)].flatMap((text) => [text, ...text.split(PARTS)]).map((text) => text.toLowerCase()),
);
/** Makers are records: their names are the tier's. */
const rows = Object.entries(ids)
  .filter(([kind]) => kind !== 'makers')
  .flatMap(([, kind]) => (kind as unknown as Row[]).flatMap((row) => [row, ...(row.options ?? [])]));
const SHIPPED = shippedTexts();
/** What science calls a group, or what stands for it where it is one of many. */
const LATIN = new Set(GROUPS.map((group) => group.scientific));
const names = new Set(
  [...rows.map((row) => row.name), ...Object.values(SHIPPED)]
    .map((name) => name.toLowerCase())
    .filter((name) => !said.has(name) && !LATIN.has(name)),
);

/** English in which every name of an id, a tool, a dressing, a material and a group, and every text of theirs, is marked: what is drawn without its mark did not come through speech. */
function marked() {
  const i18n = createI18n();
  // Pieces are looked at one by one, so each is marked.
  const mark = (text: string) => text.replace(/(?<=^| · |, |: ).+?(?=$| · |, |: )/g, '‹$&›');
  i18n.addResourceBundle(
    'en',
    'text',
    Object.fromEntries(Object.entries(SHIPPED).map(([key, text]) => [key, mark(text)])),
  );
  for (const [kind, own] of Object.entries(ids)) {
    for (const row of own as unknown as Row[]) {
      i18n.addResource('en', 'id', `${kind}.${row.id}`, `‹${row.name}›`);
      for (const option of row.options ?? [])
        i18n.addResource('en', 'id', `${kind}/${row.id}.${option.id}`, `‹${option.name}›`);
    }
  }
  return i18n;
}

/** Everything a screen says by itself, piece by piece: leaves, labels and options. */
function pieces(): string[] {
  const leaves = [...document.querySelectorAll('body *')]
    .filter((node) => node.children.length === 0)
    .map((node) => node.textContent ?? '');
  const labels = [...document.querySelectorAll('[aria-label]')].map((node) => node.getAttribute('aria-label')!);
  return [...leaves, ...labels].flatMap((text) => text.split(PARTS)).map((text) => text.trim().toLowerCase());
}
const unmarked = () => [...new Set(pieces().filter((piece) => names.has(piece)))];
const press = async (name: RegExp | string) => {
  const found = screen.queryAllByRole('button', { name });
  for (const button of found.slice(0, 12)) if (button.isConnected) await act(async () => void fireEvent.click(button));
};

describe('every name of an id is drawn through speech', () => {
  let named = 0;
  test.each<[string, () => ReactElement, (RegExp | string)[]]>([
    ['the natural', () => <MatchScreen id={DUN} step="natural" />, []],
    ['the hook', () => <MatchScreen id={DUN} step="hook" />, [/filter/i, /size on purpose/i]],
    ['the dressing', () => <MatchScreen id={DUN} step="dressing" />, []],
    ['the library', () => <DressingsScreen />, [/filter/i]],
    ['a dressing', () => <DressingScreen id="first-light-dun" />, [/schools/i]],
    ['a new dressing', () => <NewDressingScreen />, []],
    ['the editor', () => <DressingEditor id="first-light-dun" />, [/^(?!.*(delete|take out|save)).*/i]],
    ['the hooks', () => <HooksScreen />, [/filter/i]],
    ['a model', () => <ModelScreen maker="osmere" model="lark" />, [/change/i]],
    ['the packets', () => <PacketsScreen />, []],
    ['a box', () => <BoxScreen id={BOX} />, []],
    ['flies into a box', () => <EnterScreen id={BOX} />, [/bought|another/i]],
    ['the guide', () => <GuideScreen />, []],
    ['a group', () => <GroupScreen id="m01" />, []],
    ['the settings', () => <SettingsScreen />, []],
  ])('%s', async (_, element, presses) => {
    await openScreen(element(), 'demo', marked());
    expect(unmarked()).toEqual([]);
    for (const name of presses) await press(name);
    expect(unmarked()).toEqual([]);
    if (document.body.innerHTML.includes('‹')) named++;
  });
  test('and that is looked at on screens that draw some', () => expect(named).toBeGreaterThan(10));
});
