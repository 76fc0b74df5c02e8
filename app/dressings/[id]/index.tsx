import { useLocalSearchParams } from 'expo-router';
import { later } from '@/features/shell';

const DressingScreen = later(async () => (await import('@/features/dressing/screens')).DressingScreen);

export default function Dressing() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <DressingScreen id={id} />;
}
