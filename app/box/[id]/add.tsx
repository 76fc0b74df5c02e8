import { useLocalSearchParams } from 'expo-router';
import { EnterScreen } from '@/features/box';

export default function AddToBox() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EnterScreen id={id} />;
}
