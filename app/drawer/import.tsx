export { ImportScreen as default } from '@/features/drawer';
