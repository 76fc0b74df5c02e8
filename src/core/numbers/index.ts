export { chanceShort, fliesToCarry, HOURS_MOST, RATE_MOST } from './flies-to-carry';
