import { useLocalSearchParams } from 'expo-router';
import { later } from '@/features/shell';

const OutingScreen = later(async () => (await import('@/features/out/screens')).OutingScreen);

export default function Outing() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <OutingScreen id={id} />;
}
