import { useLocalSearchParams } from 'expo-router';
import { later } from '@/features/shell';

const InspectScreen = later(async () => (await import('@/features/vise/screens')).InspectScreen);

export default function Inspect() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <InspectScreen id={id} />;
}
