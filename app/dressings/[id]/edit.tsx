import { useLocalSearchParams } from 'expo-router';
import { later } from '@/features/shell';

const DressingEditor = later(async () => (await import('@/features/dressing/screens')).DressingEditor);

export default function EditDressing() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <DressingEditor id={id} />;
}
