import type { Param } from '../code';
import { AT_MM } from '../constants';
import type { HookAnswer } from '../hook-score';
import type { CardPart } from '../card/card-shape';
import type { LaidPart } from './lay-out';

export interface FiguresInput {
  card: CardPart | undefined;
  laid: LaidPart | undefined;
  atMm: number | null;
  turns: number | null;
  hook: HookAnswer;
  faceMm: number;
  hookPointMm: number;
}

/**
 * What a sentence of a step may name, in the same figures as the card: `mm` length of the part, `n` turns, `pitch`, `thick`, `wide`, `count`, `side` (a half
 * of them), `at`, `from`, `to`, `cut`, `past` (how far its tip stands past the bend), `over` (past the hook point), `stretch`. A figure that is not known is left out.
 */
export function figuresOf({ card, laid, atMm, turns, hook, faceMm, hookPointMm }: FiguresInput): Record<string, Param> {
  const figures: Record<string, Param> = {};
  const mm = (name: string, value: number | null | undefined) => {
    if (Number.isFinite(value)) figures[name] = { mm: value! };
  };
  mm('at', atMm);
  mm('eye', hook.eye_mm);
  mm('face', faceMm);
  if (turns !== null) figures.n = Math.round(turns);
  if (!card || !laid) return figures;
  mm('mm', card.mm);
  mm('thick', laid.thickMm);
  mm('wide', laid.wideMm);
  mm('cut', card.cut_mm);
  mm('from', laid.fromMm);
  mm('to', laid.toMm);
  if (card.count) {
    figures.count = card.count;
    if (card.count % 2 === 0) figures.side = card.count / 2;
  }
  if (laid.fromMm !== null && laid.toMm !== null) {
    const stretch = Math.abs(laid.fromMm - laid.toMm);
    mm('stretch', stretch);
    if (turns) mm('pitch', stretch / turns);
  }
  if (card.mm !== null && laid.fromMm !== null) {
    const tip = laid.fromMm + card.mm;
    if (tip > hook.shank_mm + AT_MM) mm('past', tip - hook.shank_mm);
    const swept = (laid.toMm ?? laid.fromMm) + card.mm;
    if (swept > hookPointMm) mm('over', swept - hookPointMm);
    mm('tip', swept);
  }
  const { amount } = card;
  mm('noodle', amount.noodleMm);
  if (amount.loop) mm('loop', amount.loop.heightMm);
  if (amount.pieces !== null) figures.pieces = amount.pieces;
  return figures;
}
