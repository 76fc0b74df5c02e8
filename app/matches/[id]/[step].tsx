import { useLocalSearchParams } from 'expo-router';
import { STEPS, type Step } from '@/features/match-frame';
import { later, Missing } from '@/features/shell';

const MatchScreen = later(async () => (await import('@/features/match-frame/screens')).MatchScreen);

export default function MatchStep() {
  const { id, step } = useLocalSearchParams<{ id: string; step: string }>();
  if (!STEPS.includes(step as Step)) return <Missing what="page" list="/matches" />;
  return <MatchScreen id={id} step={step as Step} />;
}
