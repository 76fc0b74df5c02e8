import { object, string, type InferType } from 'yup';
import type { Material } from './material';

/** A material of the tier's own: what it is called, the shipped one it behaves like, and its colour as a thick pad under D65. */
export const ownMaterialSchema = object({
  id: string()
    .required()
    .matches(/^[a-z0-9-]+$/),
  name: string().required(),
  like: string().required(),
  hex: string()
    .required()
    .matches(/^#[0-9a-f]{6}$/),
});
export type OwnMaterial = InferType<typeof ownMaterialSchema>;

/** A material of one's own as the bench takes it: it does what the one it is like does, in the one colour it has. Null where what it is like is not known. */
export function materialOf({ id, name, like, hex }: OwnMaterial, materials: readonly Material[]): Material | null {
  const model = materials.find((material) => material.id === like);
  return model ? { ...model, id, name, hex: hex as Material['hex'], shades: 'one', like } : null;
}
