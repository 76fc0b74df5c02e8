import { FieldCardScreen } from '@/features/photo';

export default FieldCardScreen;
