import { useLocalSearchParams } from 'expo-router';
import { later } from '@/features/shell';

const ModelScreen = later(async () => (await import('@/features/drawer/screens')).ModelScreen);

export default function Model() {
  const { maker, model, tape } = useLocalSearchParams<{ maker: string; model: string; tape?: string }>();
  return <ModelScreen key={`${maker}:${model}:${tape ?? ''}`} maker={maker} model={model} tape={tape ?? null} />;
}
