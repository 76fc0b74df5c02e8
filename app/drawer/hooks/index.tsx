export { HooksScreen as default } from '@/features/drawer';
