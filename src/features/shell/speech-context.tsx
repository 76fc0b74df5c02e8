import { createContext, useContext, useLayoutEffect, useMemo, type ReactNode } from 'react';
import { useDispatch } from 'react-redux';
import { createI18n, createSpeech, textsOf, type Speech } from '@/speech';
import { selectSettings, spokenIn, useApp } from '@/state';

const english = createI18n();
const Context = createContext<Speech>(createSpeech(english, 'mm'));

/** Words in the unit of the settings and in one language, for everything below. */
export function SpeechProvider({
  i18n = english,
  children,
}: {
  i18n?: ReturnType<typeof createI18n>;
  children: ReactNode;
}) {
  const { unit } = useApp(selectSettings);
  const dispatch = useDispatch();
  const speech = useMemo(() => createSpeech(i18n, unit), [i18n, unit]);
  useLayoutEffect(() => void dispatch(spokenIn(textsOf(i18n))), [dispatch, i18n]);
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
