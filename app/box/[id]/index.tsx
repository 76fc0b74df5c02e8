import { useLocalSearchParams } from 'expo-router';
import { later } from '@/features/shell';

const BoxScreen = later(async () => (await import('@/features/box/screens')).BoxScreen);

export default function OneBox() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <BoxScreen id={id} />;
}
