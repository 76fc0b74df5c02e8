export { PacketsScreen as default } from '@/features/drawer';
