export { prepare, run, type RunOptions } from './client';
export type { JobName, Jobs, PhotoAnswer } from './jobs';
