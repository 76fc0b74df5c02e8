import { useState } from 'react';
import { View } from 'react-native';
import type { BarbRuleId, FaunaId, UnitId } from '@/catalogue/ids';
import { hasDemo, leaveDemo, setDevice, setSettings, type Entities } from '@/records';
import type { Speech } from '@/speech';
import { asideFile, selectDevice, selectSettings, useAct, useApp } from '@/state';
import { Page, useSpeech, useWords } from '@/features/shell';
import { SchoolsPanel } from '@/features/bench';
import { AtTheBench } from '@/features/dressing';
import { saveFile } from '@/features/files';
import { LengthField } from '@/features/length-field';
import { ScreenSizeSetting } from '@/features/screen-size';
import { Button, Choose, Fold, Heading, Row, Say, WordLink } from '@/ui/primitives';
import type { ThemeName } from '@/ui/tokens';
import { DeletedRecords } from './deleted';
import { BackupPanel, StorageMeter } from '@/features/backup/screens';
import { FileReader, WriteOut } from '@/features/exchange/screens';

const ROOMS = ['naturals', 'words', 'field-card', 'settings', 'data', 'cautions'] as const;

export function ShelfScreen() {
  const words = useWords();
  return (
    <Page title={words('place.shelf')}>
      <View className="border-t border-line">
        {ROOMS.map((room) => (
          <Row key={room} tall to={`/shelf/${room}`}>
            <View className="min-w-0 flex-1">
              <Say weight="strong" size="lead">
                {words(`shelf.${room}`)}
              </Say>
              <Say size="small" tone="soft">
                {words(`shelf.${room}-hint`)}
              </Say>
            </View>
          </Row>
        ))}
      </View>
    </Page>
  );
}

export function SettingsScreen() {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const act = useAct();
  const settings = useApp(selectSettings);
  const device = useApp(selectDevice);
  const set = (more: Partial<typeof settings>) => act(setSettings, more);
  const here = (more: Partial<typeof device>) => act(setDevice, more);
  return (
    <Page back={{ href: '/shelf', label: words('place.shelf') }} title={words('shelf.settings')}>
      <View className="gap-6 px-5">
        <Setting title={words('settings.unit')}>
          <Choose
            label={words('settings.unit')}
            choices={ids.units.map((unit) => ({ id: unit.id as UnitId, label: speech.name('units', unit.id) }))}
            value={settings.unit}
            onChange={(unit) => set({ unit })}
          />
        </Setting>
        <Setting title={words('settings.barb')}>
          <Choose
            label={words('settings.barb')}
            choices={ids['barb-rules'].map((rule) => ({
              id: rule.id as BarbRuleId,
              label: speech.name('barb-rules', rule.id),
            }))}
            value={settings.barbRule}
            onChange={(barbRule) => set({ barbRule })}
          />
        </Setting>
        <Setting title={words('settings.world')}>
          <Choose
            label={words('settings.world')}
            choices={[
              { id: '', label: words('guide.anywhere') },
              ...ids.faunas.map((item) => ({ id: item.id, label: speech.name('faunas', item.id) })),
            ]}
            value={settings.fauna ?? ''}
            onChange={(id) => set({ fauna: id === '' ? null : (id as FaunaId), south: false })}
          />
          <Choose
            label={words('settings.half')}
            choices={[
              { id: 'north', label: words('settings.north') },
              { id: 'south', label: words('settings.south') },
            ]}
            value={settings.south ? 'south' : 'north'}
            onChange={(id) => set({ south: id === 'south', ...(id === 'south' ? { fauna: null } : {}) })}
          />
        </Setting>
        <Setting title={words('settings.theme')}>
          <Choose
            label={words('settings.theme')}
            choices={ids.themes.map((theme) => ({ id: theme.id as ThemeName, label: speech.name('themes', theme.id) }))}
            value={device.theme}
            onChange={(theme) => here({ theme })}
          />
        </Setting>
        <Setting title={words('settings.hand')}>
          <Choose
            label={words('settings.hand')}
            choices={[
              { id: 'right', label: words('settings.right') },
              { id: 'left', label: words('settings.left') },
            ]}
            value={device.hand}
            onChange={(hand) => here({ hand: hand as 'right' | 'left' })}
          />
        </Setting>
        <Setting title={words('settings.thumb')}>
          <Choose
            label={words('settings.thumb')}
            choices={[
              { id: 'right', label: words('settings.right') },
              { id: 'left', label: words('settings.left') },
            ]}
            value={device.thumb}
            onChange={(thumb) => here({ thumb: thumb as 'right' | 'left' })}
          />
          <Say size="small" tone="soft">
            {words('settings.thumb-hint')}
          </Say>
        </Setting>
        <Setting title={words('screen.title')}>
          <ScreenSizeSetting />
        </Setting>
        <Setting title={words('fingers.setting')}>
          <View className="max-w-96">
            <LengthField
              hideLabel
              label={words('fingers.setting')}
              hint={words('fingers.hint')}
              mm={settings.fingerMm ?? null}
              rangeMm={FINGER_RANGE_MM}
              onChange={(fingerMm) => set({ fingerMm })}
            />
          </View>
        </Setting>
        <Setting title={words('settings.keys')}>
          <Choose
            label={words('settings.keys')}
            choices={[
              { id: 'on', label: words('settings.on') },
              { id: 'off', label: words('settings.off') },
            ]}
            value={settings.letterKeys ? 'on' : 'off'}
            onChange={(id) => set({ letterKeys: id === 'on' })}
          />
          <Say size="small" tone="soft">
            {words('settings.keys-hint')}
          </Say>
        </Setting>
      </View>
      <View className="mt-6 border-t border-line">
        <Fold wide title={words('settings.bench')} line={benchLine(settings, speech, words)}>
          <AtTheBench />
        </Fold>
        <Schools />
      </View>
    </Page>
  );
}

const FINGER_RANGE_MM = [5, 40] as const;

/** Where good benches disagree: one choice for every card, with what it changes. */
function Schools() {
  const words = useWords();
  const act = useAct();
  const { schools } = useApp(selectSettings);
  const choose = (next: Record<string, string>) => act(setSettings, { schools: next });
  return (
    <Fold
      wide
      title={words('settings.schools')}
      line={words('settings.schools-chosen', { count: Object.keys(schools).length })}
    >
      <Say size="small" tone="soft">
        {words('settings.schools-lead')}
      </Say>
      <SchoolsPanel value={schools} inherited={null} onChange={choose} />
    </Fold>
  );
}

/** Practice, time and tools in a line, as far as they are told. */
function benchLine(
  { skill, minutes, tools }: ReturnType<typeof selectSettings>,
  speech: Speech,
  words: ReturnType<typeof useWords>,
): string {
  return (
    speech.beside([
      skill && words(`dressing.skill-n.${skill}`),
      minutes && words('picking.up-to', { minutes }),
      tools && words('settings.tools-ticked', { count: tools.length }),
    ]) || words('settings.bench-none')
  );
}

function Setting({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <View className="gap-2">
      <Heading size="small">{title}</Heading>
      {children}
    </View>
  );
}

const HOUSEKEEPING: ReadonlySet<string> = new Set(['settings', 'device']);

export function DataScreen() {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const entities = useApp((state) => state.records.entities);
  const aside = useApp((state) => state.records.aside);
  const [restoring, setRestoring] = useState(false);
  const demo = hasDemo(entities);
  const left = useApp((state) => state.records.past.some((item) => item.label === 'leave-demo'));
  const kinds = (Object.keys(entities) as (keyof Entities)[])
    .map((kind) => ({ kind, count: Object.keys(entities[kind]).length }))
    .filter((item) => item.count > 0 && !HOUSEKEEPING.has(item.kind));
  return (
    <Page back={{ href: '/shelf', label: words('place.shelf') }} title={words('shelf.data')} lead={words('data.lead')}>
      <View className="gap-8 px-5">
        <Setting title={words('data.stored')}>
          {kinds.length === 0 ? (
            <Say tone="soft">{words('data.none')}</Say>
          ) : (
            <Say>{speech.list(kinds.map(({ kind, count }) => words(`data.kind.${kind}`, { count })))}</Say>
          )}
          <StorageMeter />
        </Setting>
        <Setting title={words('backup.title')}>
          <BackupPanel beside={restoring} />
        </Setting>
        <Setting title={words('backup.restore')}>
          <Say size="small" tone="soft">
            {words('backup.restore-hint')}
          </Say>
          <FileReader label={words('backup.read')} onOpen={setRestoring} />
        </Setting>
        <Setting title={words('tables.title')}>
          <Say size="small" tone="soft">
            {words('tables.hint')}
          </Say>
          <WriteOut />
        </Setting>
        <Setting title={words('hand-over.title')}>
          <Say size="small" tone="soft">
            {words('hand-over.door')}
          </Say>
          <WordLink to="/shelf/hand-over">{words('hand-over.open')}</WordLink>
        </Setting>
        <Setting title={words('data.deleted')}>
          <DeletedRecords />
        </Setting>
        <Setting title={words('data.aside')}>
          {aside.length === 0 ? (
            <Say tone="soft">{words('data.aside-none')}</Say>
          ) : (
            aside.map((item) => (
              <Say key={item.key}>
                {words('data.aside-line', {
                  key: item.key,
                  why: words(`data.aside-why.${item.reason}`),
                  detail: item.detail,
                })}
              </Say>
            ))
          )}
          {aside.length > 0 ? (
            <Button
              label={words('data.aside-export')}
              onPress={() => saveFile('aubade-set-aside.json', asideFile(aside))}
              className="self-start"
            />
          ) : null}
        </Setting>
        <Setting title={words('data.demo')}>
          <Say tone="soft">{words(demo ? 'now.demo' : left ? 'data.demo-gone' : 'data.demo-none')}</Say>
          {demo ? (
            <Button label={words('now.leave-demo')} onPress={() => act(leaveDemo, {})} className="self-start" />
          ) : null}
        </Setting>
      </View>
    </Page>
  );
}

export function CautionsScreen() {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  return (
    <Page
      back={{ href: '/shelf', label: words('place.shelf') }}
      title={words('shelf.cautions')}
      lead={words('cautions.lead')}
    >
      <View className="gap-5 px-5">
        {ids.cautions.map((caution) => (
          <View key={caution.id} className="gap-1 border-l-4 border-straw pl-4">
            <Heading size="small">{speech.name('cautions', caution.id)}</Heading>
            <Say size="small">{speech.caution(caution.id)}</Say>
          </View>
        ))}
      </View>
    </Page>
  );
}
