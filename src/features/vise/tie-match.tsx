import { useEffect } from 'react';
import { dropUntouched, newSingle, sessionOf } from '@/records';
import { useAct, useApp } from '@/state';
import { selectAnswered } from '@/state/answering';
import { Missing } from '@/features/shell';
import { TieSession } from './tie-session';

/** One fly of a match, tied straight away: a session of one, or the one that is open with it, so that its time, its waits and where it stands are kept. */
export function TieMatch({ id }: { id: string }) {
  const act = useAct();
  const card = useApp((state) => {
    const match = state.records.entities.match[id];
    const answered = match ? selectAnswered(state, id, match.leading) : null;
    return answered?.status === 'answered' ? answered.answer.card : null;
  });
  const batchId = useApp((state) => card && sessionOf(state.records.entities.batch, id, card));
  useEffect(() => {
    if (card && batchId === null) act(newSingle, { card, matchId: id });
  }, [act, card, id, batchId]);
  useEffect(() => {
    if (batchId !== null) return () => void act(dropUntouched, { batchId });
  }, [act, batchId]);
  if (!card) return <Missing what="match" list="/matches" />;
  return batchId !== null ? (
    <TieSession id={batchId} leaveTo={{ pathname: '/matches/[id]/[step]', params: { id, step: 'bench' } }} />
  ) : null;
}
