export { NewDressingScreen as default } from '@/features/dressing';
