import { useLocalSearchParams } from 'expo-router';
import { GroupScreen } from '@/features/guide';

export default function Group() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <GroupScreen id={id} />;
}
