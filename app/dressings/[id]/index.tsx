import { useLocalSearchParams } from 'expo-router';
import { DressingScreen } from '@/features/dressing';

export default function Dressing() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <DressingScreen id={id} />;
}
