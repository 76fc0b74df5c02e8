import { useLocalSearchParams } from 'expo-router';
import { MatchScreen, STEPS, type Step } from '@/features/match-frame';
import { Missing } from '@/features/shell';

export default function MatchStep() {
  const { id, step } = useLocalSearchParams<{ id: string; step: string }>();
  if (!STEPS.includes(step as Step)) return <Missing what="page" list="/matches" />;
  return <MatchScreen id={id} step={step as Step} />;
}
