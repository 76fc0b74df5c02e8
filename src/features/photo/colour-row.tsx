import { View } from 'react-native';
import type { RegionId } from '@/catalogue/ids';
import { hexOfLab } from '@/core/colour';
import { useSpeech, useWords } from '@/features/shell';
import { Say, Tile } from '@/ui/primitives';
import type { Colours } from './overlay';

/** Colours found, a swatch a region; where there are two tones both, and a tap says which one counts. */
export function ColourRow({ colours, onSwap }: { colours: Colours; onSwap: (region: RegionId) => void }) {
  const words = useWords();
  const speech = useSpeech();
  return (
    <View className="gap-y-1">
      {Object.entries(colours).map(([region, colour]) => (
        <View key={region} className="min-h-8 flex-row flex-wrap items-center gap-2">
          <View
            aria-hidden
            style={{ backgroundColor: hexOfLab(colour.lab) }}
            className="h-6 w-10 rounded-control border border-edge"
          />
          <Say size="small">{speech.plain('regions', region)}</Say>
          {colour.second ? (
            <Tile
              across
              spoken={words('photo.second-take', { region: speech.plain('regions', region) })}
              onPress={() => onSwap(region as RegionId)}
            >
              <View
                aria-hidden
                style={{ backgroundColor: hexOfLab(colour.second.lab) }}
                className="h-6 w-6 rounded-control border border-edge"
              />
              <Say size="small" tone="river" weight="medium">
                {words('photo.second', { percent: Math.round(100 * colour.second.share) })}
              </Say>
            </Tile>
          ) : null}
        </View>
      ))}
    </View>
  );
}

/** The second tone of a region becomes the one that counts, the first the second. */
export function swapped(colours: Colours, region: RegionId): Colours {
  const colour = colours[region];
  if (!colour?.second) return colours;
  return {
    ...colours,
    [region]: { ...colour, lab: colour.second.lab, second: { lab: colour.lab, share: 1 - colour.second.share } },
  };
}
