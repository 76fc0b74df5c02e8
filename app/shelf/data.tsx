export { DataScreen as default } from '@/features/shelf';
