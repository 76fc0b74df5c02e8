import type { FieldCards } from '@/core/photo/card';
import cards from './field-cards.json';

/** The published geometry of the field cards. */
export const FIELD_CARDS = cards as unknown as FieldCards;
