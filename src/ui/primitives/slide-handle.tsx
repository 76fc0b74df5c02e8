import { DndContext, PointerSensor, useDraggable, useSensor, useSensors } from '@dnd-kit/core';
import { createElement, type ReactNode } from 'react';

interface SlideHandleProps {
  id: string;
  label: string;
  /** What it stands at, in words: `16:15`. */
  said: string;
  value: number;
  low: number;
  high: number;
  /** One press of an arrow. */
  step: number;
  /** Pixels from the left of what it lies on, its top, and those of one unit. */
  x: number;
  y: number;
  tall: number;
  perUnit: number;
  onSlide: (value: number) => void;
  children: ReactNode;
}

const WIDE = 44;
/** Pixels a pointer goes before a tap becomes a drag. */
const START_PX = 4;
const KEYS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 };

/** Something on a scale that is drawn along it by pointer, or moved by the arrow keys. */
export function SlideHandle(props: SlideHandleProps) {
  const { value, low, high, step, perUnit, onSlide } = props;
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: START_PX } }));
  const settle = (to: number) => onSlide(Math.max(low, Math.min(high, Math.round(to / step) * step)));
  return (
    <DndContext sensors={sensors} onDragEnd={({ delta }) => settle(value + delta.x / perUnit)}>
      <Handle {...props} onKey={(by) => settle(value + by * step)} />
    </DndContext>
  );
}

function Handle({
  id,
  label,
  said,
  value,
  low,
  high,
  x,
  y,
  tall,
  onKey,
  children,
}: SlideHandleProps & { onKey: (by: number) => void }) {
  const { listeners, setNodeRef, transform } = useDraggable({ id });
  return createElement(
    'div',
    {
      ...listeners,
      ref: setNodeRef,
      role: 'slider',
      tabIndex: 0,
      'aria-label': label,
      'aria-valuemin': low,
      'aria-valuemax': high,
      'aria-valuenow': value,
      'aria-valuetext': said,
      onKeyDown: (event: KeyboardEvent) => {
        const by = KEYS[event.key];
        if (by === undefined) return;
        event.preventDefault();
        onKey(by);
      },
      style: {
        position: 'absolute',
        left: x - WIDE / 2 + (transform?.x ?? 0),
        top: y,
        width: WIDE,
        height: tall,
        touchAction: 'none',
        cursor: 'grab',
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
      },
    },
    children,
  );
}
