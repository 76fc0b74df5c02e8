import ids from '../src/catalogue/ids.json';

interface Entry {
  id: string;
  name: string;
  alias: string[];
}

const INTRO = `# Ids

One list serves data, code, the command line and the views: \`src/catalogue/ids.json\`. This page is written from it by
\`npm run ids:docs\`; a test fails when the two differ. An id is lower case with words joined by \`-\`. Ids are added, never renamed.
Files and JSON hold the id; a view shows the name; the command line takes id, name or alias in any case.
`;

const cell = (value: number | null) => (value === null ? '–' : value.toFixed(2));
const plain = (entry: Entry) =>
  `\`${entry.id}\` ${entry.name}${entry.alias.length > 0 ? ` (also ${entry.alias.join(', ')})` : ''}`;

function styles(): string {
  const rows = ids.styles.map((style) => {
    const { straight, 'curved-shank': curved, 'continuous-curve': continuous } = style.path;
    const tie =
      style.tieDown.degrees === null ? style.tieDown.landmark : `${style.tieDown.degrees}° ${style.tieDown.landmark}`;
    return `| ${style.id} | ${style.measure} | ${style.share} | ${tie} | ${cell(straight)} / ${cell(curved)} / ${cell(continuous)} | ${style.eye} | ${style.bends.join(', ')} | ${style.wire.join(', ')} | ${style.reserve} |`;
  });
  return [
    'How the iron carries the natural. W is the dressed path as a multiple of the shank on a straight (and jig), curved-shank and continuous-curve hook; a dash means not meant for it.',
    '',
    '| id | measure | share | tie-down | W | eye | bends, best first | wire | reserve, eyes |',
    '|---|---|---|---|---|---|---|---|---|',
    ...rows,
  ].join('\n');
}

function stages(): string {
  const rows = ids.stages.map(
    (stage) =>
      `| ${stage.id} | ${stage.name} | ${stage.alias.join(', ')} | ${stage.style} | ${stage.face} | ${stage.girth} | ${stage.ride} | ${stage.traits.join(', ')} | ${stage.regions.join(', ')} |`,
  );
  return [
    '| id | name | alias | default style | face | girth | ride | traits | colours asked for |',
    '|---|---|---|---|---|---|---|---|---|',
    ...rows,
  ].join('\n');
}

function options(entries: readonly { id: string; default?: string; options?: Entry[]; answers?: Entry[] }[]): string {
  return entries
    .map(
      (entry) =>
        `- \`${entry.id}\`: ${(entry.options ?? entry.answers ?? []).map((option) => `\`${option.id}\``).join(' ')}${entry.default ? ` (default \`${entry.default}\`)` : ''}`,
    )
    .join('\n');
}

/** The text of docs/ids.md. */
export function idsDoc(): string {
  const sections = Object.entries(ids).map(([kind, entries]) => {
    const heading = `## ${kind[0]!.toUpperCase()}${kind.slice(1).replaceAll('-', ' ')}`;
    if (kind === 'styles') return `${heading}\n${styles()}`;
    if (kind === 'stages') return `${heading}\n${stages()}`;
    if (kind === 'schools' || kind === 'signs') return `${heading}\n${options(entries)}`;
    return `${heading}\n${entries.map(plain).join(' · ')}`;
  });
  return `${INTRO}\n${sections.join('\n\n')}\n`;
}
