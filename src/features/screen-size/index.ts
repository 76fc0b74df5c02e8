export { ScreenSizeSetting } from './screen-size-setting';
export { Stretch } from './stretch';
export { screenKey, useScreenSize, type ScreenSize } from './use-screen-size';
