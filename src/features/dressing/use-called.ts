import { useCallback } from 'react';
import { materialCalled, type Material } from '@/core/materials';
import { useApp } from '@/state';
import { selectCatalogue, selectNamed } from '@/state/answering';

/** A material by its id: as it is had, as it is listed, or one of the shades it is sold in. */
export function useCalled(): (id: string) => Material | null {
  const named = useApp(selectNamed);
  const { materials } = useApp(selectCatalogue);
  return useCallback((id) => materials.find((own) => own.id === id) ?? materialCalled(named, id), [materials, named]);
}
