import type { Href } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressed } from './pressed';
import { Say } from './text';

interface SortHeadProps {
  children: string;
  spoken: string;
  sorted: 'asc' | 'desc' | false;
  /** Figures stand to the right, and so does their heading. */
  number: boolean;
  onSort: () => void;
}

/** The heading of a column that the table is sorted by when it is tapped. */
export function SortHead({ children, spoken, sorted, number, onSort }: SortHeadProps) {
  return (
    <Pressed spoken={spoken} onPress={onSort} className="min-h-target justify-end pb-1">
      <Say
        size="small"
        tone={sorted ? 'river' : 'soft'}
        weight={sorted ? 'strong' : 'sans'}
        className={number ? 'text-right' : ''}
      >
        {`${children}${sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}`}
      </Say>
    </Pressed>
  );
}

/** What a row of a table leads to, by the words of its first cell. */
export function CellLink({ to, children }: { to: Href; children: ReactNode }) {
  return (
    <Pressed to={to} className="py-1">
      {children}
    </Pressed>
  );
}
