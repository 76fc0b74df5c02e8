import { Redirect, useLocalSearchParams } from 'expo-router';

export default function Match() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <Redirect href={{ pathname: '/matches/[id]/[step]', params: { id, step: 'natural' } }} />;
}
