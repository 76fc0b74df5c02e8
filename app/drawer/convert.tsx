import { useLocalSearchParams } from 'expo-router';
import { later } from '@/features/shell';

const ConvertScreen = later(async () => (await import('@/features/drawer/screens')).ConvertScreen);

export default function Convert() {
  const { hook } = useLocalSearchParams<{ hook?: string }>();
  return <ConvertScreen key={hook ?? ''} id={hook ?? null} />;
}
