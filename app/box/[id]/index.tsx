import { useLocalSearchParams } from 'expo-router';
import { BoxScreen } from '@/features/box';

export default function OneBox() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <BoxScreen id={id} />;
}
