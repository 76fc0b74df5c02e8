export { prepare, run, type RunOptions } from './client';
export type { JobName, Jobs, PhotoAnswer } from './jobs';
export type { DressingsAnswer, FileAnswer } from './read-file';
