import { later } from '@/features/shell';

export default later(async () => (await import('@/features/out/screens')).OutingsScreen);
