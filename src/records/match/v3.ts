import { array, string } from 'yup';
import { answerV1 } from './v1';
import { matchV2 } from './v2';

/** Frozen: matches before a material could be chosen by hand. Read by the migration `materials-by-hand` only. */
export const matchV3 = matchV2.shape({
  answers: array(answerV1.shape({ added: array(string().required()).default([]) }))
    .min(1)
    .max(4)
    .required(),
});
