import { BoxesScreen } from '@/features/box';

export default BoxesScreen;
