import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import { useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import { colourWord, wetHex } from '@/core/colour';
import { isStashLow, isThere, leftOf, tickStash } from '@/records';
import { useAct, useApp } from '@/state';
import { selectNamed } from '@/state/answering';
import { DrawerTabs } from '@/features/drawer';
import { FileReader } from '@/features/exchange/screens';
import { OwnMaterial } from '@/features/own-material';
import { InList, Page, useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Choose, Digits, Field, Fold, Heading, Row, Say, Tick, WordLink } from '@/ui/primitives';
import { Swatch } from '@/ui/drawings';
import { Rows } from '@/ui/primitives/rows';
import { token } from '@/ui/tokens';
import { ColourAsked } from './colour-asked';
import { colourSaid } from './colour-said';
import { MaterialOpen } from './material-open';
import { chiefUse, stashRows, type StashFilter, type StashRow, type Which } from './stash-rows';
import { UsePick } from './use-pick';

const ROW_PX = 73;

/** What the tier has to tie with: every material with its shades, ticked where it is had. */
export function MaterialsScreen() {
  const words = useWords();
  const { materials, shades } = useApp(selectNamed);
  const stash = useApp((state) => state.records.entities.stash);
  const [text, setText] = useState('');
  const [use, setUse] = useState<string | null>(null);
  const had = useMemo(() => Object.values(stash).filter(isThere), [stash]);
  const low = useMemo(() => Object.values(stash).filter(isStashLow), [stash]);
  const [which, setWhich] = useState<Which>(had.length === 0 ? 'all' : 'had');
  const [near, setNear] = useState('');
  const colour = near === '' ? null : colourSaid(near, words);
  // As text, so that the same colour again sorts nothing anew.
  const filter = useDeferredValue(JSON.stringify({ text, use, which, near: colour } satisfies StashFilter));
  const rows = useMemo(
    () => stashRows({ materials, shades, stash }, JSON.parse(filter) as StashFilter),
    [materials, shades, stash, filter],
  );
  const kinds = new Set(had.map(({ materialId }) => materialId)).size;
  const choices: { id: Which; label: string }[] = [
    { id: 'had', label: words('stash.which.had') },
    { id: 'all', label: words('stash.which.all') },
    { id: 'low', label: words('stash.which.low', { count: low.length }) },
    { id: 'not-had', label: words('stash.which.not-had') },
  ];
  return (
    <Page
      column="list"
      title={words('stash.title')}
      lead={
        had.length === 0
          ? undefined
          : words('stash.lead', { count: kinds, shades: had.filter(({ shadeId, shade }) => shadeId ?? shade).length })
      }
    >
      <DrawerTabs at="materials" />
      {had.length === 0 ? <Say className="px-5 pt-4">{words('stash.begin')}</Say> : null}
      <View className="flex-row flex-wrap gap-x-5 px-5 pt-3">
        <WordLink to="/drawer/blend">{words('stash.to-blend')}</WordLink>
        <WordLink to="/drawer/shades">{words('shades.title')}</WordLink>
        <WordLink to="/drawer/threads">{words('threads.title')}</WordLink>
        {had.length === 0 ? null : <WordLink to="/drawer/shopping">{words('shopping.title')}</WordLink>}
      </View>
      <View className="flex-row flex-wrap items-end gap-3 px-5 py-3">
        <View className="min-w-40 flex-1">
          <Field label={words('stash.find')} value={text} onType={setText} />
        </View>
        <UsePick use={use} onUse={setUse} />
      </View>
      <View className="gap-3 px-5 pb-3">
        {had.length > 0 || which !== 'all' ? (
          <Choose label={words('stash.which-label')} choices={choices} value={which} onChange={setWhich} />
        ) : null}
        <ColourAsked
          title={words('stash.near')}
          none={words('stash.near-none')}
          text={near}
          onType={setNear}
          fault={near !== '' && colour === null ? words('stash.near-wrong') : null}
        />
      </View>
      {rows.length === 0 ? (
        <Say tone="soft" className="px-5 py-3">
          {words('stash.none-found')}
        </Say>
      ) : null}
      <StashList rows={rows} near={colour !== null} />
      <View className="px-5 pt-3">
        <Fold title={words('edit-dressing.own-material')} line={words('stash.own-line')}>
          <NewMaterial />
        </Fold>
      </View>
      <View className="px-5 py-3">
        <FileReader kind="quiet" label={words('stash.read-file')} prefer="stash" pastes />
      </View>
    </Page>
  );
}

/** One that nobody lists: made, and had. */
function NewMaterial() {
  const act = useAct();
  const { materials } = useApp(selectNamed);
  const [made, setMade] = useState(0);
  return (
    <OwnMaterial
      key={made}
      was={null}
      fitting={materials.filter(({ like, of }) => like === undefined && of === undefined)}
      onPut={(materialId) => {
        act(tickStash, { items: [{ materialId, shadeId: null }], on: true });
        setMade(made + 1);
      }}
    />
  );
}

/** The list; only the rows in view are drawn, under what they are for where no colour sorts them. */
function StashList({ rows, near }: { rows: readonly StashRow[]; near: boolean }) {
  const words = useWords();
  const [open, setOpen] = useState<string | null>(null);
  const lines = useMemo(() => {
    const all: ({ head: string } | { row: StashRow })[] = [];
    let head = '';
    for (const row of rows) {
      const use = !near ? chiefUse(row.material) : '';
      if (use !== head) all.push({ head: use });
      head = use;
      all.push({ row });
    }
    return all;
  }, [rows, near]);
  return (
    <Rows label={words('stash.title')} rows={lines} tall={ROW_PX}>
      {(line) =>
        'head' in line ? (
          <View className="border-b border-line px-5 pb-2 pt-5">
            <Heading size="small">{words(`stash.for.${line.head}`)}</Heading>
          </View>
        ) : (
          <InList record={{ kind: 'stash', id: line.row.material.id }} name={line.row.material.name} data={line.row}>
            <MaterialRow
              row={line.row}
              open={open === line.row.material.id}
              onOpen={() => setOpen(open === line.row.material.id ? null : line.row.material.id)}
            />
          </InList>
        )
      }
    </Rows>
  );
}

function MaterialRow({ row, open, onOpen }: { row: StashRow; open: boolean; onOpen: () => void }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const red = useRedLamp();
  const { material, shades, had, shown, apart } = row;
  const there = had.filter(isThere);
  const low = had.some(isStashLow);
  const counted = had.length === 1 ? leftOf(had[0]!) : null;
  const Chevron = open ? ChevronUp : ChevronDown;
  const own = there.filter(({ shadeId, shade }) => shadeId ?? shade).length;
  const tick = (on: boolean) =>
    act(
      tickStash,
      on
        ? { items: [{ materialId: material.id, shadeId: null }], on }
        : { items: had.map(({ materialId, shadeId, shade }) => ({ materialId, shadeId, shade })), on },
    );
  return (
    <View className={`border-b border-line ${open ? 'bg-plane' : ''}`}>
      <View className="flex-row items-center pl-5">
        <Tick spokenOnly label={words('stash.have', { name: material.name })} on={there.length > 0} onChange={tick} />
        <View className="min-w-0 flex-1">
          <Row
            wide={false}
            line={false}
            open={open}
            spoken={words('stash.open', { name: material.name })}
            onPress={onOpen}
          >
            <Swatch
              shape={material.drawn}
              dry={red ? null : shown}
              wet={red ? null : wetHex(shown, material.absorbency)}
              width={52}
            />
            <View className="min-w-0 flex-1">
              <Say weight="medium">{material.name}</Say>
              <Say size="small" tone="soft">
                {speech.beside([
                  apart !== null && !red && speech.plain('colour-words', colourWord(apart)),
                  material.floats ? words('stash.floats') : null,
                  shades.length > 0
                    ? own > 0
                      ? words('stash.own-shades', { count: own, all: shades.length })
                      : words('stash.shades', { count: shades.length })
                    : null,
                ])}
              </Say>
            </View>
            {low ? (
              <Say size="small" tone="straw" weight="strong">
                {words('packets.low')}
              </Say>
            ) : null}
            {counted === null ? null : <Digits>{speech.number(counted, Number.isInteger(counted) ? 0 : 1)}</Digits>}
            <View className="pr-5">
              <Chevron size={20} color={token('soft')} aria-hidden />
            </View>
          </Row>
        </View>
      </View>
      {open ? <MaterialOpen row={row} /> : null}
    </View>
  );
}
