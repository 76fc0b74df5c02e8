import type { Card, CardPart, CardStep } from '@/core/tying';
import { amountLines } from './amount-lines';
import { cardFacts, careLines, partColourLine, partCount } from './card-facts';
import type { Speech } from './speech';

/** A card as a page to keep: a title, what it is for, and sections of lines. */
export interface CardSheet {
  title: string;
  sub: string;
  notes: string[];
  sections: { id: string; title: string; lines: string[] }[];
}

function stepLines(steps: readonly CardStep[], speech: Speech): string[] {
  return steps.flatMap((step) => {
    const detail = [
      ...(step.mm !== null && speech.showsLength(step) ? [speech.length(step.mm)] : []),
      ...speech.stepDetail(step),
      ...(step.reversible ? [] : [speech.t('step.cannot-undo')]),
    ];
    const check = speech.stepCheck(step);
    return [
      speech.t('card-sheet.step', {
        n: step.n,
        text: detail.length > 0 ? speech.pair(speech.stepTitle(step), speech.clauses(detail)) : speech.stepTitle(step),
      }),
      ...(check ? [`   ${speech.t('cli.look', { text: check })}`] : []),
      ...(step.mend.length > 0
        ? [`   ${speech.t('card-sheet.mend', { text: speech.clauses(speech.stepMends(step)) })}`]
        : []),
    ];
  });
}

function inColour(part: CardPart, speech: Speech): string | null {
  const colour = partColourLine(part, speech);
  return colour === null || part.colour!.stays !== null ? colour : speech.t('card-sheet.in', { colour });
}

/** One part: its length and range, where it lies, thickness and width, how many, of what, in which colour. */
function partLine(part: CardPart, speech: Speech): string {
  const { t } = speech;
  const range =
    part.range_mm && speech.length(part.range_mm[0]) !== speech.length(part.range_mm[1])
      ? ` (${t('cli.range', { low: speech.length(part.range_mm[0]), high: speech.length(part.range_mm[1]) })})`
      : '';
  const lies =
    part.from_mm === null
      ? null
      : part.to_mm === null || Math.abs(part.from_mm - part.to_mm) < 0.05
        ? t('card-sheet.at', { at: speech.length(part.from_mm) })
        : t('card-sheet.lies', { from: speech.length(part.from_mm), to: speech.length(part.to_mm) });
  const words = [
    part.mm === null ? null : `${speech.length(part.mm)}${range}`,
    lies,
    part.thick_mm === null ? null : t('card-sheet.thick', { mm: speech.length(part.thick_mm) }),
    part.wide_mm === null ? null : t('card-sheet.wide', { mm: speech.length(part.wide_mm) }),
    partCount(part, speech),
    part.material?.name ?? null,
    inColour(part, speech),
    part.optional ? t('cli.optional') : null,
  ];
  return speech.pair(speech.name('parts', part.part), speech.list(words));
}

/** Everything a tier needs of a card on paper or in a terminal: parts, what to take, thread, weight, ribs, hackles, colours, what is made beforehand, the steps, cautions once each, tools. */
export function cardSheet(card: Card, speech: Speech): CardSheet {
  const { t } = speech;
  const hook = `${card.hook.maker_name} ${card.hook.model_name} ${card.hook.size}`;
  return {
    title: card.dressing.name,
    sub: t('card-sheet.on', {
      hook,
      shank: speech.length(card.hook.shank_mm),
      room: speech.length(card.room_mm),
      used: speech.length(card.used_mm),
    }),
    notes: [
      ...(card.fits ? [] : [t('cli.over', { part: card.over!.part, mm: speech.length(card.over!.mm) })]),
      ...card.hook_reasons.map((why) => speech.say(why)),
    ],
    sections: [
      { id: 'parts', title: t('card-sheet.parts'), lines: card.parts.map((part) => partLine(part, speech)) },
      {
        id: 'take',
        title: t('card-sheet.take'),
        lines: card.parts.flatMap((part) =>
          amountLines(part, speech).map((line) => speech.pair(speech.name('parts', part.part), line)),
        ),
      },
      ...cardFacts(card, speech),
      ...card.assemblies.map((assembly) => ({
        id: assembly.id,
        title: `${speech.worded(assembly.name)} × ${assembly.count}`,
        lines: stepLines(assembly.steps, speech),
      })),
      { id: 'steps', title: t('card-sheet.steps'), lines: stepLines(card.steps, speech) },
      { id: 'care', title: t('card-sheet.care'), lines: [...careLines(card, speech), t('caution.ending')] },
      { id: 'tools', title: t('card-sheet.tools'), lines: card.tools.map((tool) => speech.tool(tool)) },
    ].filter((section) => section.lines.length > 0),
  };
}

/** The sheet as Markdown with the dressing itself in a JSON block, by which it reads back. */
export function cardMarkdown(sheet: CardSheet, json: string): string {
  const sections = sheet.sections.map(
    (section) =>
      `## ${section.title}\n\n${section.lines.map((line) => (/^\s/.test(line) || /^\d+\./.test(line) ? line : `- ${line}`)).join('\n')}\n`,
  );
  return `# ${sheet.title}\n\n${[sheet.sub, ...sheet.notes].join('\n\n')}\n\n${sections.join('\n')}\n\`\`\`json\n${json.trim()}\n\`\`\`\n`;
}

/** The sheet as plain text, to be pasted into a message. */
export function sheetText(sheet: CardSheet): string {
  const sections = sheet.sections.map(({ title, lines }) => [title, ...lines].join('\n'));
  return [[sheet.title, sheet.sub, ...sheet.notes].join('\n'), ...sections].join('\n\n');
}
