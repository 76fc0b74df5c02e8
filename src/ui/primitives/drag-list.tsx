import {
  closestCenter,
  DndContext,
  KeyboardCode,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type CollisionDetection,
  type DragEndEvent,
  type KeyboardCoordinateGetter,
  type UniqueIdentifier,
} from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import GripVertical from 'lucide-react-native/icons/grip-vertical';
import { createContext, useContext, useRef, type ReactNode } from 'react';
import { token } from '../tokens';

/** What is said while a row is moved; places count from 1. */
export interface DragWords {
  how: string;
  taken: (n: number) => string;
  over: (n: number) => string;
  put: (n: number) => string;
  left: string;
}

interface DragListProps {
  /** An id for each row, in order. */
  ids: readonly string[];
  onMove: (from: number, to: number) => void;
  said: DragWords;
  children: ReactNode;
}

interface Taken extends Pick<ReturnType<typeof useSortable>, 'attributes' | 'listeners'> {
  take: (node: HTMLElement | null) => void;
}

const Handle = createContext<Taken | null>(null);

/** Pixels a pointer goes before a tap becomes a drag. */
const START_PX = 6;

/** Rows that can be moved by a handle: by pointer, or by keys (space takes it, arrows move it, space lets it go). */
export function DragList({ ids, onMove, said, children }: DragListProps) {
  // By keys a row goes one place in the list at a time, whatever the rows measure: nearness on a page that still moves may skip some.
  const aim = useRef<string | null>(null);
  const oneOn: KeyboardCoordinateGetter = (event, { context: { active, droppableRects } }) => {
    const by = event.code === KeyboardCode.Down ? 1 : event.code === KeyboardCode.Up ? -1 : 0;
    const next = by === 0 || !active ? undefined : ids[ids.indexOf(aim.current ?? String(active.id)) + by];
    const rect = next === undefined ? undefined : droppableRects.get(next);
    if (next === undefined || !rect) return undefined;
    event.preventDefault();
    aim.current = next;
    return { x: rect.left, y: rect.top };
  };
  const nearest: CollisionDetection = (args) => {
    const aimed = aim.current === null ? undefined : args.droppableContainers.find(({ id }) => id === aim.current);
    return aimed ? [{ id: aimed.id, data: { droppableContainer: aimed, value: 0 } }] : closestCenter(args);
  };
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: START_PX } }),
    useSensor(KeyboardSensor, { coordinateGetter: oneOn, scrollBehavior: 'auto' }),
  );
  const end = ({ active, over }: DragEndEvent) => {
    aim.current = null;
    const [from, to] = [ids.indexOf(String(active.id)), over ? ids.indexOf(String(over.id)) : -1];
    if (from >= 0 && to >= 0 && from !== to) onMove(from, to);
  };
  const place = (id: UniqueIdentifier) => ids.indexOf(String(id)) + 1;
  const announcements: Announcements = {
    onDragStart: ({ active }) => said.taken(place(active.id)),
    onDragOver: ({ over }) => (over ? said.over(place(over.id)) : undefined),
    onDragEnd: ({ active, over }) => said.put(place(over?.id ?? active.id)),
    onDragCancel: () => said.left,
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={nearest}
      onDragStart={() => {
        aim.current = null;
      }}
      onDragCancel={() => {
        aim.current = null;
      }}
      onDragEnd={end}
      accessibility={{ announcements, screenReaderInstructions: { draggable: said.how } }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

/** One row of a drag list; its handle is a `DragHandle` somewhere in it. */
export function DragRow({ id, children }: { id: string; children: ReactNode }) {
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({
    id,
  });
  return (
    <div
      ref={setNodeRef}
      style={{
        transform: CSS.Translate.toString(transform),
        transition,
        position: 'relative',
        zIndex: isDragging ? 1 : undefined,
        opacity: isDragging ? 0.85 : undefined,
      }}
    >
      <Handle.Provider value={{ take: setActivatorNodeRef, attributes, listeners }}>{children}</Handle.Provider>
    </div>
  );
}

/** What a row is taken by. */
export function DragHandle({ label }: { label: string }) {
  const handle = useContext(Handle);
  if (!handle) return null;
  const { take, attributes, listeners } = handle;
  return (
    <div
      ref={take}
      {...attributes}
      {...listeners}
      aria-label={label}
      className="flex min-h-target min-w-target cursor-grab items-center justify-center"
      style={{ touchAction: 'none' }}
    >
      <GripVertical size={20} color={token('soft')} aria-hidden />
    </div>
  );
}
