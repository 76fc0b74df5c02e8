import type { Card, CardStep } from '@/core/tying';
import type { Speech } from './speech';

/** A card as a page to keep: a title, what it is for, and sections of lines. */
export interface CardSheet {
  title: string;
  sub: string;
  sections: { title: string; lines: string[] }[];
}

function stepLines(steps: readonly CardStep[], speech: Speech): string[] {
  return steps.flatMap((step) => {
    const detail = [...(step.mm !== null && step.do !== 'cut' && step.do !== 'free-eye' ? [speech.length(step.mm)] : []), ...speech.stepDetail(step), ...(step.reversible ? [] : [speech.t('step.cannot-undo')])];
    const check = speech.stepCheck(step);
    return [
      `${step.n}. ${speech.stepTitle(step)}${detail.length > 0 ? `: ${detail.join('; ')}` : ''}`,
      ...(check ? [`   ${speech.t('cli.look', { text: check })}`] : []),
      ...(step.mend.length > 0 ? [`   ${speech.t('card-sheet.mend', { text: speech.stepMends(step).join('; ') })}`] : []),
      ...(step.caution ? [`   ${speech.t('cli.care', { text: speech.caution(step.caution) })}`] : []),
    ];
  });
}

/** Everything a tier needs of a card on paper: parts in millimetres, thread, weight, what is made beforehand, the steps with their cautions, tools. */
export function cardSheet(card: Card, speech: Speech): CardSheet {
  const { t } = speech;
  const hook = `${card.hook.maker_name} ${card.hook.model_name} ${card.hook.size}`;
  const range = (pair: [number, number] | null) => (pair ? ` (${t('cli.range', { low: speech.length(pair[0]), high: speech.length(pair[1]) })})` : '');
  return {
    title: card.dressing.name,
    sub: t('card-sheet.on', { hook, shank: speech.length(card.hook.shank_mm), room: speech.length(card.room_mm), used: speech.length(card.used_mm) }),
    sections: [
      { title: t('card-sheet.parts'), lines: card.parts.map((part) => `${speech.name('parts', part.part)}: ${[part.mm === null ? (part.count === null ? null : `× ${part.count}`) : `${speech.length(part.mm)}${range(part.range_mm)}`, part.material?.name, part.optional ? t('cli.optional') : null].filter(Boolean).join(', ')}`) },
      { title: t('card-sheet.threads'), lines: card.threads.map((thread) => [`${thread.name}, ${thread.finish_turns}`, ...thread.reasons.map((why) => speech.say(why))].join('; ')) },
      ...card.assemblies.map((assembly) => ({ title: `${speech.worded(assembly.name)} × ${assembly.count}`, lines: stepLines(assembly.steps, speech) })),
      { title: t('card-sheet.steps'), lines: stepLines(card.steps, speech) },
      { title: t('card-sheet.tools'), lines: card.tools.map((tool) => speech.tool(tool)) },
    ].filter((section) => section.lines.length > 0),
  };
}

/** The sheet as Markdown with the dressing itself in a JSON block, by which it reads back. */
export function cardMarkdown(sheet: CardSheet, json: string): string {
  const sections = sheet.sections.map((section) => `## ${section.title}\n\n${section.lines.map((line) => (/^\s/.test(line) || /^\d+\./.test(line) ? line : `- ${line}`)).join('\n')}\n`);
  return `# ${sheet.title}\n\n${sheet.sub}\n\n${sections.join('\n')}\n\`\`\`json\n${json.trim()}\n\`\`\`\n`;
}
