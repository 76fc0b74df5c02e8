import { useLocalSearchParams } from 'expo-router';
import { ModelScreen } from '@/features/drawer';

export default function Model() {
  const { maker, model, tape } = useLocalSearchParams<{ maker: string; model: string; tape?: string }>();
  return <ModelScreen key={`${maker}:${model}:${tape ?? ''}`} maker={maker} model={model} tape={tape ?? null} />;
}
