import { useLocalSearchParams } from 'expo-router';
import { later } from '@/features/shell';

const SessionScreen = later(async () => (await import('@/features/vise/screens')).SessionScreen);

export default function Session() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <SessionScreen id={id} />;
}
