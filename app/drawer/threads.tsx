import { later } from '@/features/shell';

export default later(async () => (await import('@/features/materials/screens')).ThreadsScreen);
