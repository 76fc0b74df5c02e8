/** What is chosen or on: told by border, ground and weight, and never filled like the one action of a view. */
export const CHOSEN = 'border-river bg-line';
