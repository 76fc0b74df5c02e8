import { useEffect, useState, type ComponentType } from 'react';
import { View } from 'react-native';
import { Button, Say } from '@/ui/primitives';
import { Page } from './page';
import { QuietBar } from './quiet-bar';
import { useWords } from './speech-context';

type Part = () => Promise<unknown>;
const parts: Part[] = [];

/**
 * A screen whose code comes when it is first wanted. Until then the page stands empty under a quiet bar that is seen only when the
 * wait is felt; where the code cannot be had, the page says so and tries again when asked.
 * @param load imports the part of the app and picks the screen of it.
 * @param as what it fills: a page of its own, or a part of one that stands already.
 */
export function later<P extends object>(
  load: () => Promise<ComponentType<P>>,
  as: 'page' | 'part' = 'page',
): ComponentType<P> {
  let Got: ComponentType<P> | null = null;
  let coming: Promise<void> | null = null;
  const part = () =>
    (coming ??= load().then(
      (screen) => void (Got = screen),
      (wrong: unknown) => {
        coming = null;
        throw wrong;
      },
    ));
  parts.push(part);
  return function Later(props: P) {
    const [state, setState] = useState<'waits' | 'here' | 'wrong'>(Got ? 'here' : 'waits');
    useEffect(() => {
      if (state !== 'waits') return;
      let gone = false;
      part().then(
        () => !gone && setState('here'),
        () => !gone && setState('wrong'),
      );
      return () => void (gone = true);
    }, [state]);
    if (Got) return <Got {...props} />;
    return state === 'wrong' ? <NotHere as={as} again={() => setState('waits')} /> : <QuietBar />;
  };
}

/** When the hand rests: what it asks for goes before what it may ask for. */
const idle = () =>
  new Promise<void>((done) =>
    typeof requestIdleCallback === 'function' ? requestIdleCallback(() => done()) : setTimeout(done),
  );

/** Fetches every part that has not been opened yet, one after the other and each when nothing else is to be done: the next tap waits for nothing. */
export async function fetchParts(): Promise<void> {
  for (const part of parts)
    try {
      await idle();
      await part();
    } catch {
      // Asked for again when the screen is opened, where it is said.
    }
}

function NotHere({ as, again }: { as: 'page' | 'part'; again: () => void }) {
  const words = useWords();
  const why = (
    <View role="alert" className="gap-4 px-5 py-3">
      <Say>{words('part-not-here-why')}</Say>
      <Button label={words('try-again')} onPress={again} />
    </View>
  );
  return as === 'page' ? <Page title={words('part-not-here')}>{why}</Page> : why;
}
