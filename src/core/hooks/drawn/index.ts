export { at, band, curveOf, pathOf, smooth, svgMark, walk, type Curve, type Mark, type Point } from './curve';
export { hookMarks, type HookDimensions, type HookDrawing } from './hook-marks';
export { chartPages, chartSvg, type ChartHook, type ChartPage, type ChartWords, type PrintPage } from './hook-chart';
