export { DressingsScreen as default } from '@/features/dressing';
