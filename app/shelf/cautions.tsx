export { CautionsScreen as default } from '@/features/shelf';
