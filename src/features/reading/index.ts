export { ReadingReport, useForesee } from './reading-report';
