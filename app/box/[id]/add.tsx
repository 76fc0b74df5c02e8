import { useLocalSearchParams } from 'expo-router';
import { later } from '@/features/shell';

const EnterScreen = later(async () => (await import('@/features/box/screens')).EnterScreen);

export default function AddToBox() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EnterScreen id={id} />;
}
