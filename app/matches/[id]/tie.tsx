import { useLocalSearchParams } from 'expo-router';
import { TieScreen } from '@/features/bench';

export default function Tie() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TieScreen id={id} />;
}
