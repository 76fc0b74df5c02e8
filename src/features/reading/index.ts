export { ReadingReport, useForesee } from './reading-report';
export { TakeFile } from './take-file';
