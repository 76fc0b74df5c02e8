import { useEffect, type ReactNode } from 'react';

/** Where the screen under test asked to go; `path` is where it stands. */
export const went = { to: [] as unknown[], path: '/', params: {} as Record<string, string> };

const router = {
  navigate: (to: unknown) => void went.to.push(to),
  push: (to: unknown) => void went.to.push(to),
  back: () => void went.to.push('back'),
  setParams: (params: unknown) => void went.to.push({ params }),
};

export const useRouter = () => router;
export const usePathname = () => went.path;
export const useLocalSearchParams = () => went.params;
export const useIsFocused = () => true;
export const useFocusEffect = (effect: () => void | (() => void)) => useEffect(effect, [effect]);
export const Slot = () => null;

function text(href: unknown): string {
  if (typeof href === 'string') return href;
  const { pathname, params } = href as { pathname: string; params?: Record<string, string> };
  return pathname.replace(/\[(\w+)\]/g, (_, name: string) => params?.[name] ?? '');
}

export function Link({
  href,
  children,
  ...said
}: {
  href: unknown;
  children: ReactNode;
  'aria-label'?: string;
  'aria-current'?: 'page';
}) {
  return (
    <a href={text(href)} aria-label={said['aria-label']} aria-current={said['aria-current']}>
      {children}
    </a>
  );
}

export function Tabs({ children }: { children: ReactNode }) {
  return <div>{children}</div>;
}
export const TabList = Tabs;
export function TabTrigger({ href, children }: { href: string; children: ReactNode }) {
  return <a href={href}>{children}</a>;
}
export const TabSlot = () => <div data-testid="slot" />;
