import type { Href } from 'expo-router';
import { Pressed } from './pressed';
import { Say } from './text';

interface LinkProps {
  to: Href;
  children: string;
  spoken?: string;
}

/** A way to another page, in words alone. */
export function WordLink({ to, children, spoken, small = false }: LinkProps & { small?: boolean }) {
  return (
    <Pressed to={to} spoken={spoken} className="min-h-target min-w-target flex-row items-center self-start py-2">
      <Say weight="medium" tone="river" size={small ? 'small' : 'body'}>
        {children}
      </Say>
    </Pressed>
  );
}

/** A part of a place, beside its others: the one that is shown is underlined. */
export function TabLink({ to, children, on }: LinkProps & { on: boolean }) {
  return (
    <Pressed
      to={to}
      on={on}
      className={`min-h-target justify-center border-b-4 px-2 py-3 ${on ? 'border-river' : 'border-transparent'}`}
    >
      <Say weight={on ? 'strong' : 'medium'} tone={on ? 'river' : 'soft'}>
        {children}
      </Say>
    </Pressed>
  );
}
