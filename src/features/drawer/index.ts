export { DrawerTabs } from './drawer-tabs';
