export { prepare, run, type RunOptions } from './client';
export type { HooksFileAnswer, JobName, Jobs, PhotoAnswer } from './jobs';
