import { useMemo } from 'react';
import { columnsOf, findModels, readPacketLine, type NamedModel } from '@/core/hooks';
import { reason, type Coded } from '@/core/code';
import type { PacketsIn } from '@/records';
import { useApp } from '@/state';
import { selectHooks } from '@/state/answering';

export interface PadModel extends NamedModel {
  sizes: readonly string[];
}

/** Models of the catalogue by name, with the sizes they stock. */
export function useModels(): PadModel[] {
  const hooks = useApp(selectHooks);
  return useMemo(() => {
    const { hooks: rows, starts } = columnsOf(hooks);
    return [...starts.slice(0, -1)].map((start, index) => ({
      id: `${rows[start]!.maker}:${rows[start]!.model}`,
      makerName: rows[start]!.makerName,
      modelName: rows[start]!.modelName,
      sizes: rows.slice(start, starts[index + 1]).map((hook) => hook.size),
    }));
  }, [hooks]);
}

const OFFERED = 4;

/** The words of a line, and the models they fit, best first. */
export function modelsNamed(text: string, models: readonly PadModel[]): { wanted: string; offered: PadModel[] } {
  const wanted = readPacketLine(text).words;
  return { wanted, offered: wanted === '' ? [] : findModels(wanted, models).slice(0, OFFERED) };
}

/** Sizes of a line with their counts; `usual` where none is written. */
export function sizesOf(text: string, usual: number, known?: readonly string[]): PacketsIn['sizes'] {
  return readPacketLine(text, known).sizes.map(({ size, count }) => ({ size, count: count ?? usual }));
}

/** What a line means: packets of a model, or why it means none. */
type Meant =
  { packets: PacketsIn; model: PadModel; fault: null } | { packets: null; model: PadModel | null; fault: Coded };

/** Reads a line; one without words is of the model that stays. */
export function packetsMeant(
  written: string,
  { models, stays, usual }: { models: readonly PadModel[]; stays: PadModel | null; usual: number },
): Meant {
  const { words } = readPacketLine(written);
  const model = words === '' ? stays : (findModels(words, models)[0] ?? null);
  if (!model) return { packets: null, model, fault: reason('packet-model', { got: words }) };
  const { faults } = readPacketLine(written, model.sizes);
  const sizes = sizesOf(written, usual, model.sizes);
  const fault = faults[0] ?? (sizes.length === 0 ? reason('packet-sizes') : null);
  return fault
    ? { packets: null, model, fault }
    : { packets: { modelId: model.id, made: null, sizes }, model, fault: null };
}
