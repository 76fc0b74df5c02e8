import { useLocalSearchParams } from 'expo-router';
import { DressingEditor } from '@/features/dressing';

export default function EditDressing() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <DressingEditor id={id} />;
}
