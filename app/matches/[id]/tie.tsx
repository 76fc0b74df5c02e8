import { useLocalSearchParams } from 'expo-router';
import { later } from '@/features/shell';

const TieMatch = later(async () => (await import('@/features/vise/screens')).TieMatch);

export default function Tie() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TieMatch id={id} />;
}
