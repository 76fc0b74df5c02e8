import { useRouter } from 'expo-router';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { Pressable, View } from 'react-native';
import { useThumb, useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';
import { token } from '@/ui/tokens';
import { useBestFly } from './box-answers';

/** The fly to put on now, always in sight under the natural while it is being told; a tap opens the box's answer. */
export function BoxStrip({ matchId }: { matchId: string }) {
  const words = useWords();
  const router = useRouter();
  const thumb = useThumb();
  const best = useBestFly(matchId);
  if (!best) return null;
  return (
    <Pressable
      role="button"
      aria-label={words('box.strip', { fly: best.name, place: best.detail })}
      onPress={() => router.navigate({ pathname: '/matches/[id]/[step]', params: { id: matchId, step: 'water' } })}
      className={`min-h-16 items-center gap-3 border-t border-river bg-plane px-5 py-2 ${thumb === 'right' ? 'flex-row' : 'flex-row-reverse'}`}
    >
      <View className="min-w-0 flex-1" aria-live="polite">
        <Say weight="serif" size={best.none ? 'small' : 'body'} lines={2}>
          {best.name}
        </Say>
        {best.detail ? (
          <Say size="small" tone="soft">
            {best.detail}
          </Say>
        ) : null}
      </View>
      <ChevronRight size={22} color={token('river')} aria-hidden />
    </Pressable>
  );
}
