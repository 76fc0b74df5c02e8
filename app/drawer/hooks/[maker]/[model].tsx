import { useLocalSearchParams } from 'expo-router';
import { ModelScreen } from '@/features/drawer';

export default function Model() {
  const { maker, model } = useLocalSearchParams<{ maker: string; model: string }>();
  return <ModelScreen maker={maker} model={model} />;
}
