export { flyMarks, type FlyDrawing } from './fly-marks';
export { hookMarks } from './hook-marks';
export { Ladder, type Rail, type Rung } from './ladder';
export { Drawing, Marks } from './marks';
export { naturalMarks, type NaturalDrawing, type RegionColours } from './natural-marks';
export { Plate } from './plate';
