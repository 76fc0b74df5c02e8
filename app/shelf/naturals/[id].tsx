import { useLocalSearchParams } from 'expo-router';
import { later } from '@/features/shell';

const GroupScreen = later(async () => (await import('@/features/shelf/screens')).GroupScreen);

export default function Group() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <GroupScreen id={id} />;
}
