export { logger, type LoggerMade } from './logger';
