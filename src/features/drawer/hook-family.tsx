import type { Hook } from '@/core/hooks';
import { useSpeech, useWords } from '@/features/shell';
import { Drawing, hookMarks, Marks } from '@/ui/drawings';

const GAP_MM = 2;
const EDGE = 12;

/** Hooks of one model beside each other, largest first, all at one scale. */
export function HookFamily({ hooks, width, maxHeight }: { hooks: readonly Hook[]; width: number; maxHeight: number }) {
  const words = useWords();
  const speech = useSpeech();
  const drawings = hooks.map((hook) => ({
    hook,
    drawing: hookMarks({
      bend: hook.bend,
      eye: hook.eye,
      barb: hook.barb,
      shankMm: hook.shank.value,
      gapeMm: hook.gape.value,
      biteMm: hook.bite.value,
      wireMm: hook.wireDiameter.value,
      eyeMm: hook.eyeOuter.value,
    }),
  }));
  const spans = drawings.map(({ drawing: { bounds } }) => bounds.right - bounds.left);
  const total = spans.reduce((sum, span) => sum + span, 0) + GAP_MM * (drawings.length - 1);
  const top = Math.max(...drawings.map(({ drawing }) => drawing.bounds.top));
  const bottom = Math.min(...drawings.map(({ drawing }) => drawing.bounds.bottom));
  const scale = Math.min((width - 2 * EDGE) / total, (maxHeight - 2 * EDGE) / (top - bottom));
  const height = Math.ceil((top - bottom) * scale) + 2 * EDGE;
  const starts = spans.map((_, index) => spans.slice(0, index).reduce((sum, span) => sum + span + GAP_MM, 0));
  const left = (width - total * scale) / 2;
  const first = hooks[0]!;
  return (
    <Drawing
      label={words('drawer.family', {
        model: `${first.makerName} ${first.modelName}`,
        sizes: speech.list(hooks.map((hook) => hook.size)),
      })}
      width={width}
      height={height}
    >
      {drawings.map(({ hook, drawing }, index) => (
        <Marks
          key={hook.id}
          marks={drawing.marks}
          scale={scale}
          x={left + (starts[index]! - drawing.bounds.left) * scale}
          y={height / 2 + ((top + bottom) / 2) * scale}
        />
      ))}
    </Drawing>
  );
}
