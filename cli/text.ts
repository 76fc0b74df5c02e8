const WIDTH = 80;

/** One paragraph folded at 80 columns, later lines indented. */
export function fold(text: string, indent = 0): string {
  const lead = /^ */.exec(text)![0];
  return wrapped(text.slice(lead.length), WIDTH - lead.length, WIDTH - indent)
    .map((line, index) => (index === 0 ? lead : ' '.repeat(indent)) + line)
    .join('\n');
}

function wrapped(text: string, first: number, later: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(' ')) {
    const width = lines.length === 0 ? first : later;
    if (line !== '' && line.length + 1 + word.length > width) {
      lines.push(line);
      line = word;
    } else line = line === '' ? word : `${line} ${word}`;
  }
  return [...lines, line];
}

/** Columns padded to their widest cell, the last one folded under itself. */
export function columns(rows: readonly (readonly string[])[]): string {
  const widths = rows.reduce<number[]>(
    (widest, row) => row.map((cell, index) => Math.max(widest[index] ?? 0, cell.length)),
    [],
  );
  return rows
    .map((row) => {
      const head = row
        .slice(0, -1)
        .map((cell, index) => cell.padEnd(widths[index]!))
        .join('  ');
      const last = row[row.length - 1] ?? '';
      const indent = head.length + 2;
      const width = WIDTH - indent;
      if (width < 20) return fold(`${head}  ${last}`.trimEnd(), 2);
      return wrapped(last, width, width)
        .map((line, place) => (place === 0 ? `${head}  ${line}`.trimEnd() : ' '.repeat(indent) + line))
        .join('\n');
    })
    .join('\n');
}
