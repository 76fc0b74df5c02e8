import { command } from '../command';
import { trialSchema, type TrialRecord } from './schema';

/** A fly was tried in a cup or a glass. Its id. */
export const noteTrial = command<Pick<TrialRecord, 'what' | 'dressingId' | 'hookId' | 'seconds' | 'depthMm'>, string>(
  'trial',
  (draft, trial, { now, newId }) => {
    const id = newId('trial');
    draft.trial[id] = trialSchema.cast({ ...trial, at: now });
    return id;
  },
);

export const dropTrial = command<{ trialId: string }>(
  'trial-out',
  (draft, { trialId }) => void delete draft.trial[trialId],
);
