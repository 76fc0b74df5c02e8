import { useLocalSearchParams } from 'expo-router';
import { later } from '@/features/shell';

const EndScreen = later(async () => (await import('@/features/vise/screens')).EndScreen);

export default function End() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EndScreen id={id} />;
}
