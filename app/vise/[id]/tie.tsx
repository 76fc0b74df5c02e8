import { useLocalSearchParams } from 'expo-router';
import { later } from '@/features/shell';

const TieSession = later(async () => (await import('@/features/vise/screens')).TieSession);

export default function TieOne() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TieSession id={id} />;
}
