import { View } from 'react-native';
import { matchesOf } from '@/records';
import { useApp } from '@/state';
import { PhotoView } from '@/features/photo/screens';
import { useSpeech, useWords } from '@/features/shell';
import { Fold, Row, Say } from '@/ui/primitives';

const PICTURE = 160;

/** Naturals that were found on an outing, each with the match it became and its photographs. Nothing where none was. */
export function MatchesFold({ id }: { id: string }) {
  const words = useWords();
  const speech = useSpeech();
  const { match, sample, photo } = useApp((state) => state.records.entities);
  const own = matchesOf({ match, sample }, id);
  if (own.length === 0) return null;
  return (
    <Fold wide title={words('out.matches')} line={words('out.matches-n', { count: own.length })}>
      <View className="border-t border-line">
        {own.map((matchId) => {
          const { title, answers, leading, sampleId } = match[matchId]!;
          const stage = answers.find((answer) => answer.id === leading)?.stage ?? null;
          const pictures = sample[sampleId]!.photos.filter((id) => photo[id]);
          return (
            <View key={matchId} className="gap-2">
              <Row wide={false} to={{ pathname: '/matches/[id]/[step]', params: { id: matchId, step: 'natural' } }}>
                <View className="min-w-0 flex-1">
                  <Say weight="medium">{title || (stage ? speech.name('stages', stage) : words('out.no-stage'))}</Say>
                  <Say size="small" tone="soft">
                    {speech.beside([
                      sample[sampleId]!.when.slice(11, 16),
                      title && stage && speech.plain('stages', stage),
                    ])}
                  </Say>
                </View>
              </Row>
              {pictures.map((id, n) => (
                <PhotoView key={id} id={id} label={words('photo.of', { n: n + 1 })} height={PICTURE} />
              ))}
            </View>
          );
        })}
      </View>
    </Fold>
  );
}
