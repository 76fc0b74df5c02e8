import { Component, createContext, useContext, type ReactNode } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import type { Kind } from '@/records';
import { setAside, writeRecords, type Store } from '@/state';
import { saveFile } from '@/features/files';
import { Button, Heading, Say, WordLink } from '@/ui/primitives';
import { useWords } from './speech-context';

/** A record that something on the screen is of. */
export interface OfRecord {
  kind: Kind;
  id: string;
}

/** Hears of records that cannot be drawn, where they are drawn out of sight before they are kept. */
const Hears = createContext<((record: OfRecord, why: string) => void) | null>(null);
export const NotDrawn = Hears.Provider;

interface BoundaryProps {
  onFault?: (why: string) => void;
  /** Another value tries again: the address, or the record itself. */
  of: unknown;
  children: ReactNode;
  /** What stands in the place of what cannot be shown. */
  instead: (why: string, again: () => void) => ReactNode;
}

/** What cannot be drawn takes down nothing beside it. */
class Boundary extends Component<BoundaryProps, { why: string | null }> {
  override state: { why: string | null } = { why: null };

  override componentDidCatch(error: unknown): void {
    this.props.onFault?.(error instanceof Error ? error.message : String(error));
  }

  static getDerivedStateFromError(error: unknown): { why: string } {
    return { why: error instanceof Error ? error.message : String(error) };
  }

  override componentDidUpdate(before: BoundaryProps): void {
    if (this.state.why !== null && before.of !== this.props.of) this.setState({ why: null });
  }

  override render(): ReactNode {
    const { why } = this.state;
    return why === null ? this.props.children : this.props.instead(why, () => this.setState({ why: null }));
  }
}

/** What may be done with records that cannot be shown. */
function Ways({ records, why, again }: { records: readonly OfRecord[]; why: string; again: () => void }) {
  const words = useWords();
  const store = useStore() as unknown as Store;
  const keys = records.map(({ kind, id }) => `${kind}/${id}`);
  return (
    <View className="flex-row flex-wrap gap-3">
      {records.length > 0 ? (
        <>
          <Button
            label={words('broken.file')}
            onPress={() => void writeRecords(store, keys).then((text) => saveFile('aubade-not-shown.json', text))}
          />
          <Button
            label={words('broken.aside')}
            onPress={() => void setAside(store, records, why).catch(() => undefined)}
          />
        </>
      ) : null}
      <Button kind="quiet" label={words('try-again')} onPress={again} />
    </View>
  );
}

/** A place in a list: where its record cannot be shown it says so in its line, and the rest of the list stands. `data` is the record itself, so that a change of it is tried. */
export function InList({
  record,
  name,
  data,
  children,
}: {
  record: OfRecord;
  name: string;
  data: unknown;
  children: ReactNode;
}) {
  const hear = useContext(Hears);
  const words = useWords();
  return (
    <Boundary
      of={data}
      onFault={(why) => hear?.(record, why)}
      instead={(why, again) => (
        <View role="alert" className="gap-2 border-b border-line bg-plane px-5 py-3">
          <Say weight="medium">
            {words('broken.record', { kind: words(`reading.kind.${record.kind}`), name: name || record.id })}
          </Say>
          <Say size="small" tone="soft">
            {words('broken.why', { why })}
          </Say>
          <Ways records={[record]} why={why} again={again} />
        </View>
      )}
    >
      {children}
    </Boundary>
  );
}

/** A whole page: where it cannot be shown the places and everything else stay in use, and what it is of can be set aside or written to a file. */
export function WholePage({
  path,
  records: recordsOf,
  children,
}: {
  path: string;
  records: () => readonly OfRecord[];
  children: ReactNode;
}) {
  const words = useWords();
  return (
    <Boundary
      of={path}
      instead={(why, again) => {
        const records = recordsOf();
        return (
          <View role="alert" className="gap-3 p-5">
            <Heading size="title">{words('broken.page')}</Heading>
            <Say>{words(records.length > 0 ? 'broken.page-what' : 'broken.page-plain')}</Say>
            <Say size="small" tone="soft">
              {words('broken.why', { why })}
            </Say>
            <Ways records={records} why={why} again={again} />
            <WordLink to="/shelf/data">{words('broken.data')}</WordLink>
          </View>
        );
      }}
    >
      {children}
    </Boundary>
  );
}
