export { prepare, run, type RunOptions } from './client';
export type { FileAnswer, JobName, Jobs, PhotoAnswer } from './jobs';
