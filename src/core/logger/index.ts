export {
  clockOff,
  dailyOf,
  daysMissing,
  readingsOf,
  readLogger,
  type LoggerRead,
  type LoggerReading,
} from './read-logger';
