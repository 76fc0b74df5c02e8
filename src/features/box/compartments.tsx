import { View } from 'react-native';
import type { StageId } from '@/catalogue/ids';
import { slotsOf } from '@/core/box';
import type { BoxRecord } from '@/records';
import { FlyThumb, NaturalThumb } from '@/ui/drawings';
import { Digits, OneStop, Say, Tile } from '@/ui/primitives';
import type { Card } from '@/core/tying';
import { useRedLamp, useWidth, useWords } from '@/features/shell';

/** A compartment as it is written on the lid: row letter and column. */
export function slotName(slot: string): string {
  return slot.toUpperCase();
}

/** Where in the box to look: its grid, one compartment filled. */
export function BoxMap({ box, slot }: { box: Pick<BoxRecord, 'rows' | 'columns'>; slot: string | null }) {
  return (
    <View aria-hidden className="gap-[2px] rounded-control border border-edge p-1">
      {Array.from({ length: box.rows }, (_, row) => (
        <View key={row} className="flex-row gap-[2px]">
          {slotsOf(box)
            .slice(row * box.columns, (row + 1) * box.columns)
            .map((item) => (
              <View key={item} className={`h-[6px] w-[8px] ${item === slot ? 'bg-dawn' : 'bg-line'}`} />
            ))}
        </View>
      ))}
    </View>
  );
}

/** What is drawn in a compartment. */
export interface Cell {
  left: number;
  /** Size on the packet, or a length. */
  size: string;
  name: string;
  card: Card | undefined;
  /** Of a fly not tied here: what it is meant for, drawn in the fly's place. */
  stage: StageId | null;
}

interface CompartmentsProps {
  box: BoxRecord;
  cells: ReadonlyMap<string, Cell>;
  /** Compartments that are lit. */
  lit: ReadonlySet<string>;
  onPress: (slot: string) => void;
}

const GAP = 4;
const MOST = 96;

/** The box from above: every compartment with its fly, its size and how many are left. */
export function Compartments({ box, cells, lit, onPress }: CompartmentsProps) {
  const words = useWords();
  const red = useRedLamp();
  const [width, room] = useWidth();
  const side = width === 0 ? 0 : Math.min(MOST, Math.floor((width - GAP * (box.columns - 1)) / box.columns));
  const slots = slotsOf(box);
  return (
    <View {...room}>
      <OneStop
        role="toolbar"
        label={words('box.compartments', { name: box.name })}
        across={box.columns}
        reached={[...lit][0] ?? slots[0]}
        className="gap-1"
      >
        {side === 0
          ? null
          : Array.from({ length: box.rows }, (_, row) => (
              <View key={row} className="flex-row" style={{ gap: GAP }}>
                {slots.slice(row * box.columns, (row + 1) * box.columns).map((slot) => {
                  const cell = cells.get(slot);
                  const on = lit.has(slot);
                  const label = cell
                    ? words('box.cell', { slot: slotName(slot), name: cell.name, size: cell.size, left: cell.left })
                    : words('box.cell-empty', { slot: slotName(slot) });
                  return (
                    <Tile
                      key={slot}
                      stop={slot}
                      on={on}
                      bare={!cell}
                      spoken={label}
                      onPress={() => onPress(slot)}
                      style={{
                        width: side,
                        minHeight: Math.max(side, 48),
                        justifyContent: 'space-between',
                        padding: 3,
                      }}
                    >
                      <View className="flex-row justify-between">
                        <Say size="small" tone={on ? 'river' : 'soft'} weight={on ? 'strong' : 'sans'}>
                          {cell ? cell.size : ''}
                        </Say>
                        {cell ? (
                          <Digits size="small" tone={cell.left === 0 ? 'dawn' : 'ink'}>
                            {String(cell.left)}
                          </Digits>
                        ) : null}
                      </View>
                      {cell ? (
                        <View className="items-center">
                          {cell.stage ? (
                            <NaturalThumb
                              stage={cell.stage}
                              colours={{}}
                              width={side - 10}
                              height={Math.max(20, side - 30)}
                            />
                          ) : (
                            <FlyThumb card={cell.card} width={side - 10} height={Math.max(20, side - 30)} plain={red} />
                          )}
                        </View>
                      ) : (
                        <Say size="small" tone="soft" className="text-center opacity-60">
                          {slotName(slot)}
                        </Say>
                      )}
                    </Tile>
                  );
                })}
              </View>
            ))}
      </OneStop>
    </View>
  );
}
