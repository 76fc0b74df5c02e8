export { CautionsScreen, DataScreen, SettingsScreen, ShelfScreen } from './shelf-screens';
