export { CautionsScreen, DataScreen, SettingsScreen, ShelfScreen } from './shelf-screens';
export { FieldCardScreen } from '@/features/photo/screens';
export { GlossaryScreen } from '@/features/glossary';
export { GroupScreen, GuideScreen } from '@/features/guide';
export { HandOverScreen } from '@/features/hand-over/screens';
