export { flyMarks, type FlyDrawing } from './fly/fly-marks';
export { FlyThumb } from './fly-thumb';
export { hookMarks } from '@/core/hooks/drawn';
export { Ladder, type Rail, type Rung } from './ladder';
export { Drawing, Marks } from './marks';
export { naturalMarks, type NaturalDrawing, type RegionColours } from './natural-marks';
export { NaturalThumb } from './natural-thumb';
export { Plate } from './plate';
