import { usePathname, useRouter } from 'expo-router';
import { TabList, Tabs, TabSlot, TabTrigger, type TabSlotProps } from 'expo-router/ui';
import Moon from 'lucide-react-native/icons/moon';
import Redo from 'lucide-react-native/icons/redo-2';
import Sun from 'lucide-react-native/icons/sun';
import Lamp from 'lucide-react-native/icons/lamp';
import Settings from 'lucide-react-native/icons/settings-2';
import Undo from 'lucide-react-native/icons/undo-2';
import { Activity, useEffect, type ReactNode } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { useStore } from 'react-redux';
import { hasDemo, setDevice } from '@/records';
import { redone, selectDevice, selectSettings, undone, useAct, useApp, useAppDispatch, type Store } from '@/state';
import { Button, IconButton, Place, Say, SkipLink } from '@/ui/primitives';
import { applyTheme, WIDE_PX } from '@/ui/tokens';
import { WholePage } from './boundary';
import { Keeping } from './keeping';
import { LastChange } from './last-change';
import { recordsOfPage } from './records-of-page';
import { useKeyDown } from './use-key-down';
import { useNewMatch } from './use-new-match';
import { useNewVersion } from './use-new-version';
import { useSpeech, useWords } from './speech-context';

const THEMES = ['morning', 'dusk', 'red-lamp'] as const;
const THEME_ICON = { morning: Sun, dusk: Moon, 'red-lamp': Lamp };

export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE_PX;
}

/** Under the red lamp no colour can be judged, so none is shown. */
export function useRedLamp(): boolean {
  return useApp((state) => selectDevice(state).theme === 'red-lamp');
}

/** The side that actions lie on at the water. */
export function useThumb(): 'right' | 'left' {
  return useApp((state) => selectDevice(state).thumb);
}

/** The valley's own clock while the demo is there, where the address freezes it; else the valley goes by this device's. */
export function useValleyTime(): string | null {
  const demo = useApp((state) => hasDemo(state.records.entities));
  const frozen = useApp((state) => state.session.frozenClock);
  const words = useWords();
  const speech = useSpeech();
  return demo && frozen !== null ? words('valley-time', { time: speech.moment(frozen) }) : null;
}

function Header({ wide }: { wide: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  const dispatch = useAppDispatch();
  const act = useAct();
  const router = useRouter();
  const { theme } = useApp(selectDevice);
  // Only what is shown of the changes: a key that joins the last one does not draw the header anew.
  const last = useApp((state) => state.records.past.at(-1)?.label);
  const undoneLeft = useApp((state) => state.records.future.length > 0);
  const time = useValleyTime();
  const thumb = useThumb();
  const next = THEMES[(THEMES.indexOf(theme) + 1) % THEMES.length]!;
  return (
    <View
      role="banner"
      className={`min-h-14 items-center justify-between border-b border-line bg-plane ${wide || thumb === 'right' ? 'flex-row pl-4 pr-0' : 'flex-row-reverse pl-0 pr-4'}`}
    >
      {wide ? (
        <Say size="small" tone="soft">
          {time ?? ''}
        </Say>
      ) : (
        <Say size="lead" weight="serif" tone="river">
          {words('app')}
        </Say>
      )}
      <View className={thumb === 'right' ? 'flex-row' : 'flex-row-reverse'}>
        <IconButton
          tall
          size={22}
          tone="ink"
          label={last ? words('undo-what', { what: words(`change.${last}`) }) : words('undo')}
          disabled={!last}
          onPress={() => dispatch(undone())}
          icon={Undo}
        />
        <IconButton
          tall
          size={22}
          tone="ink"
          label={words('redo')}
          disabled={!undoneLeft}
          onPress={() => dispatch(redone())}
          icon={Redo}
        />
        <IconButton
          tall
          size={22}
          tone="ink"
          label={words('theme', { theme: speech.name('themes', theme) })}
          onPress={() => act(setDevice, { theme: next })}
          icon={THEME_ICON[theme]}
        />
        {wide ? null : (
          <IconButton
            tall
            size={22}
            tone="ink"
            label={words('place.shelf')}
            onPress={() => router.navigate('/shelf')}
            icon={Settings}
          />
        )}
      </View>
    </View>
  );
}

/** What was taken back or made again, for who does not see it. */
function StepSpoken() {
  const words = useWords();
  const step = useApp((state) => state.records.step);
  return (
    <View aria-live="polite" className="absolute h-px w-px overflow-hidden">
      {step ? <Say key={step.n}>{words(`step-taken.${step.way}`, { what: words(`change.${step.label}`) })}</Say> : null}
    </View>
  );
}

/** Offered at the start of a visit only, and taken by a tap only. */
function NewVersion() {
  const words = useWords();
  const { offered, take } = useNewVersion();
  if (!offered) return null;
  return (
    <View role="status" className="flex-row items-center justify-between gap-3 border-b border-line bg-plane px-5 py-1">
      <Say size="small" className="min-w-0 flex-1">
        {words('new-version')}
      </Say>
      <Button kind="quiet" label={words('new-version-take')} onPress={take} />
    </View>
  );
}

/** Keys of the whole app; single letters rest while a field has the focus and can be switched off. */
function useKeys(): void {
  const dispatch = useAppDispatch();
  const { letterKeys } = useApp(selectSettings);
  const newMatch = useNewMatch();
  const router = useRouter();
  const path = usePathname();
  useKeyDown((event) => {
    const target = event.target as HTMLElement | null;
    const typing = target !== null && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName);
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
      event.preventDefault();
      dispatch(event.shiftKey ? redone() : undone());
      return;
    }
    if (!letterKeys || typing || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === 'n') {
      event.preventDefault();
      newMatch();
    }
    const match = /^\/matches\/([^/]+)\/(natural|hook|dressing|bench|water)$/.exec(path);
    const step = (['natural', 'hook', 'dressing', 'bench', 'water'] as const)[Number(event.key) - 1];
    if (match && step) router.navigate({ pathname: '/matches/[id]/[step]', params: { id: match[1]!, step } });
  });
}

/**
 * One place's screen: fills the slot while it is open. While it is not it is out of sight and of the accessibility tree, keeps what it
 * holds, and hears nothing of the records: a key typed in one place is not drawn in the others.
 */
const placeScreen: NonNullable<TabSlotProps['renderFn']> = (descriptor, { isFocused, loaded }) =>
  loaded || isFocused ? (
    <View key={descriptor.route.key} style={isFocused ? OPEN : HIDDEN}>
      <Activity mode={isFocused ? 'visible' : 'hidden'}>
        <Guarded>{descriptor.render()}</Guarded>
      </Activity>
    </View>
  ) : null;

/** The page behind its boundary: another address is tried anew. */
function Guarded({ children }: { children: ReactNode }) {
  const path = usePathname();
  const { getState } = useStore() as unknown as Store;
  return (
    <WholePage path={path} records={() => recordsOfPage(path, getState().records.entities)}>
      {children}
    </WholePage>
  );
}

/** Says on the page itself whether all is written; by itself, so that a key typed does not draw the places anew. */
function Saved() {
  const saved = useApp((state) => state.session.saved && !state.session.inMemory);
  useEffect(() => void (document.documentElement.dataset.saved = saved ? 'yes' : 'no'), [saved]);
  return null;
}

const MAIN = 'main';
/** Main takes the focus by the skip link only. */
const FOCUSABLE = { tabIndex: -1 } as object;

/** Header, places and the page: a bottom bar on a phone, a rail on a wide screen; the bench fills the screen. */
export function Shell() {
  const words = useWords();
  const wide = useWide();
  const path = usePathname();
  const { theme } = useApp(selectDevice);
  useEffect(() => applyTheme(theme), [theme]);
  useKeys();
  const bare = /\/tie$/.test(path);
  const list = (
    <TabList key="list" asChild>
      <View
        role="navigation"
        aria-label={words('nav')}
        style={wide ? COLUMN : ROW}
        className={`bg-plane ${bare ? 'hidden' : ''} ${wide ? 'w-28 flex-col gap-1 border-r border-line pt-4' : 'flex-row border-t border-line'}`}
      >
        {wide ? (
          <Say size="lead" weight="serif" tone="river" className="pb-4 pl-4">
            {words('app')}
          </Say>
        ) : null}
        <TabTrigger name="now" href="/" asChild>
          <Place label={words('place.now')} wide={wide} />
        </TabTrigger>
        <TabTrigger name="matches" href="/matches" asChild>
          <Place label={words('place.matches')} wide={wide} />
        </TabTrigger>
        <TabTrigger name="dressings" href="/dressings" asChild>
          <Place label={words('place.dressings')} wide={wide} />
        </TabTrigger>
        <TabTrigger name="drawer" href="/drawer/hooks" asChild>
          <Place label={words('place.drawer')} wide={wide} />
        </TabTrigger>
        <TabTrigger name="box" href="/box" asChild>
          <Place label={words('place.box')} wide={wide} />
        </TabTrigger>
        <TabTrigger name="shelf" href="/shelf" asChild>
          <Place label={words('place.shelf')} wide={wide} hidden={!wide} />
        </TabTrigger>
        {/* No place of its own in the bar: come to from Now, a match, a dressing and the box. */}
        <TabTrigger name="vise" href="/vise" asChild>
          <Place label={words('place.vise')} wide={wide} hidden />
        </TabTrigger>
        <TabTrigger name="out" href="/out" asChild>
          <Place label={words('place.out')} wide={wide} hidden />
        </TabTrigger>
      </View>
    </TabList>
  );
  const page = (
    <View key="page" className="min-w-0 flex-1">
      {bare ? null : <Header wide={wide} />}
      <StepSpoken />
      {bare ? null : <NewVersion />}
      <Saved />
      <Keeping />
      <View role="main" id={MAIN} {...FOCUSABLE} className="min-h-0 flex-1">
        <TabSlot style={SLOT} renderFn={placeScreen} />
        <LastChange />
      </View>
    </View>
  );
  return (
    <Tabs style={wide ? FRAME_WIDE : FRAME}>
      {bare ? null : <SkipLink key="skip" to={MAIN} label={words('skip')} />}
      {/* By key, so that a screen that is turned keeps its page and what is open on it. */}
      {wide ? [list, page] : [page, list]}
    </Tabs>
  );
}

const ROW = { flexDirection: 'row', justifyContent: 'flex-start', flexWrap: 'wrap' } as const;
const COLUMN = { flexDirection: 'column', justifyContent: 'flex-start' } as const;
/** The frame takes no class: it must fill the window itself, or a page without a bar has no height. */
const FRAME = { ...COLUMN, flex: 1, minHeight: 0, width: '100%' } as const;
const FRAME_WIDE = { ...ROW, flexWrap: 'nowrap', flex: 1, minHeight: 0, width: '100%' } as const;
const OPEN = { flex: 1, minHeight: 0 } as const;
const HIDDEN = { display: 'none' } as const;
/** The slot may shrink, so that a page scrolls inside it and never under the bar. */
const SLOT = { flexGrow: 1, flexShrink: 1, flexBasis: 0, minHeight: 0, overflow: 'hidden' } as const;
