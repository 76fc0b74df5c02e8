import { useLocalSearchParams } from 'expo-router';
import { later } from '@/features/shell';

const TieScreen = later(async () => (await import('@/features/match-frame/screens')).TieScreen);

export default function Tie() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TieScreen id={id} />;
}
