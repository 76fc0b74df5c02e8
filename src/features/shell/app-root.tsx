import { DMMono_400Regular } from '@expo-google-fonts/dm-mono/400Regular';
import { DMMono_500Medium } from '@expo-google-fonts/dm-mono/500Medium';
import { InstrumentSans_400Regular } from '@expo-google-fonts/instrument-sans/400Regular';
import { InstrumentSans_500Medium } from '@expo-google-fonts/instrument-sans/500Medium';
import { InstrumentSans_600SemiBold } from '@expo-google-fonts/instrument-sans/600SemiBold';
import { YoungSerif_400Regular } from '@expo-google-fonts/young-serif/400Regular';
import { createElement, useEffect, useState, type ReactNode } from 'react';
import { Provider } from 'react-redux';
import { applyTheme } from '@/ui/tokens';
import { browserPorts, createStore, openStore, selectDevice, type Store } from '@/state';
import { fetchParts } from './later';
import { sharedPartFirst } from './shared-part';
import { SpeechProvider } from './speech-context';
import { useFaces } from './use-faces';

sharedPartFirst();

function startOf(address: string): { start: string | null; clock: string | null } {
  const query = new URLSearchParams(address);
  const clock = query.get('clock');
  return {
    start: query.get('start'),
    clock: clock !== null && /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(clock) ? clock : null,
  };
}

/** What stands before the records are open: the same as in public/index.html, so that nothing jumps. */
function Opening() {
  return createElement(
    'p',
    {
      id: 'opening',
      style: { margin: 'auto', textAlign: 'center', width: '100%', color: '#1C5C69', font: '28px Georgia, serif' },
    },
    'Aubade',
  );
}

/** Opens the records and the faces, then shows the app; writes what is pending when the page is hidden, and looks what is stored when it is seen again. */
export function AppRoot({ children }: { children: ReactNode }) {
  const [store, setStore] = useState<Store | null>(null);
  const faces = useFaces({
    DMMono_400Regular,
    DMMono_500Medium,
    InstrumentSans_400Regular,
    InstrumentSans_500Medium,
    InstrumentSans_600SemiBold,
    YoungSerif_400Regular,
  });
  useEffect(() => {
    const made = createStore(browserPorts());
    let persistence: Awaited<ReturnType<typeof openStore>> | null = null;
    let closed = false;
    applyTheme('morning');
    void openStore(made, {
      ...startOf(window.location.search),
      dark: window.matchMedia('(prefers-color-scheme: dark)').matches,
    }).then((opened) => {
      persistence = opened;
      if (closed) return opened.close();
      applyTheme(selectDevice(made.getState()).theme);
      setStore(made);
    });
    const onHide = () => void persistence?.flush();
    const onSeen = () => void (document.visibilityState === 'visible' ? persistence?.look() : persistence?.flush());
    document.addEventListener('visibilitychange', onSeen);
    window.addEventListener('pagehide', onHide);
    return () => {
      closed = true;
      persistence?.close();
      document.removeEventListener('visibilitychange', onSeen);
      window.removeEventListener('pagehide', onHide);
    };
  }, []);
  const stands = store !== null && faces;
  // The next tap waits for nothing: parts that were not opened yet come while the hand rests on the first page.
  useEffect(() => {
    if (stands) void fetchParts();
  }, [stands]);
  if (!store || !faces) return <Opening />;
  return (
    <Provider store={store}>
      <SpeechProvider>{children}</SpeechProvider>
    </Provider>
  );
}
