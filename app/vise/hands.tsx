import { later } from '@/features/shell';

export default later(async () => (await import('@/features/vise/screens')).HandsScreen);
