import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { createI18n, createSpeech, type Speech } from '@/speech';
import { selectSettings, useApp } from '@/state';

const i18n = createI18n();
const Context = createContext<Speech>(createSpeech(i18n, 'mm'));

/** Words in the unit of the settings, for everything below. */
export function SpeechProvider({ children }: { children: ReactNode }) {
  const { unit } = useApp(selectSettings);
  const speech = useMemo(() => createSpeech(i18n, unit), [unit]);
  return <Context.Provider value={speech}>{children}</Context.Provider>;
}

export function useSpeech(): Speech {
  return useContext(Context);
}

/** The interface's own words. */
export function useWords(): (key: string, params?: Record<string, unknown>) => string {
  const { t } = useSpeech();
  return (key, params) => t(`ui.${key}`, params ?? {}) as string;
}
