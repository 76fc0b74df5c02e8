import { useFocusEffect, useIsFocused, type Href } from 'expo-router';
import { useCallback, useEffect, useRef, type ReactNode } from 'react';
import { ScrollView, Text, View } from 'react-native';
import { Say, WordLink } from '@/ui/primitives';
import { useSpeech, useWords } from './speech-context';

interface PageProps {
  title: string;
  /** The list this page came from, above the title. */
  back?: { href: Href; label: string };
  /** A quiet line above the title. */
  over?: string;
  /** A sentence below the title. */
  lead?: string;
  children: ReactNode;
  /** Beside the title. */
  aside?: ReactNode;
  /** A reading column, or the wider one of lists and drawings. */
  column?: 'read' | 'list';
}

/** One h1 and document title a route; focus goes to the h1 when the route is come to by navigation. */
export function Page({ title, back, over, lead, children, aside, column = 'read' }: PageProps) {
  const words = useWords();
  useTitle(title);
  return (
    <ScrollView
      className="flex-1 bg-ground"
      contentContainerClassName={`w-full self-center pb-10 ${column === 'list' ? 'max-w-[1080px]' : 'max-w-[760px]'}`}
    >
      <View className={`flex-row flex-wrap items-end justify-between gap-3 px-5 pb-3 ${back ? 'pt-1' : 'pt-5'}`}>
        <View className={`flex-1 ${aside ? 'min-w-[55%]' : 'min-w-0'}`}>
          {back ? (
            <WordLink small to={back.href}>
              {words('back-to', { place: back.label })}
            </WordLink>
          ) : null}
          {over ? (
            <Say size="small" tone="soft">
              {over}
            </Say>
          ) : null}
          <PageHeading>{title}</PageHeading>
          {lead ? (
            <Say size="small" tone="soft" className="pt-1">
              {lead}
            </Say>
          ) : null}
        </View>
        {aside}
      </View>
      {children}
    </ScrollView>
  );
}

/** A heading takes the focus by script only. */
const FOCUSABLE = { tabIndex: -1 } as object;

let first = true;

/** The page's h1: focused after navigation, not at the first load, so that a reader starts at the top. */
export function PageHeading({ children, size = 'display' }: { children: string; size?: 'display' | 'title' }) {
  const heading = useRef<Text>(null);
  useFocusEffect(
    useCallback(() => {
      if (first) {
        first = false;
        return;
      }
      (heading.current as unknown as HTMLElement | null)?.focus({ preventScroll: true });
    }, []),
  );
  return (
    <Text
      ref={heading}
      role="heading"
      aria-level={1}
      {...FOCUSABLE}
      className={`${size === 'display' ? 'text-display' : 'text-title'} font-serif text-ink`}
    >
      {children}
    </Text>
  );
}

export function useTitle(title: string): void {
  const words = useWords();
  const focused = useIsFocused();
  const whole = useSpeech().beside([title, words('app')]);
  useEffect(() => {
    if (focused) document.title = whole;
  }, [focused, whole]);
}
