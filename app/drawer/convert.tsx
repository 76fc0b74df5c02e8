import { useLocalSearchParams } from 'expo-router';
import { ConvertScreen } from '@/features/drawer';

export default function Convert() {
  const { hook } = useLocalSearchParams<{ hook?: string }>();
  return <ConvertScreen key={hook ?? ''} id={hook ?? null} />;
}
