import { GuideScreen } from '@/features/guide';

export default GuideScreen;
