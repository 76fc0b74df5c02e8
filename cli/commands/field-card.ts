import { writeFileSync } from 'node:fs';
import { FIELD_CARDS } from '../../src/catalogue/field-cards';
import { fieldCardPdf, fieldCardSvg, type CardSize, type PageSize } from '../../src/core/photo/card';
import { inputFault } from '../args';
import type { Command } from '../command';

const SIZES: readonly CardSize[] = ['wallet', 'large'];
const PAGES: readonly PageSize[] = ['a4', 'letter'];

export const fieldCardCommand: Command = {
  name: 'field-card',
  summary: 'the printed card of a photograph, as SVG or PDF',
  flags: [
    { name: 'size', takes: 'one', value: 'ID', help: 'wallet or large' },
    { name: 'page', takes: 'one', value: 'ID', help: 'a4 or letter' },
    { name: 'out', takes: 'one', value: 'FILE', help: 'where to write it: .svg or .pdf' },
  ],
  words: [],
  example: 'aubade field-card --size wallet --page a4 --out card.pdf',
  shape: '{ out, size, page, patches, field_mm, check_mm }',
  async run(read, speech) {
    const size =
      read.flagId<CardSize>(
        'size',
        SIZES.map((id) => ({ id, name: id })),
      ) ?? 'wallet';
    const page =
      read.flagId<PageSize>(
        'page',
        PAGES.map((id) => ({ id, name: id })),
      ) ?? 'a4';
    read.needed('out');
    const out = read.one('out');
    const kind = out === null ? null : (/\.(svg|pdf)$/i.exec(out)?.[1]?.toLowerCase() ?? null);
    if (out !== null && kind === null)
      read.fault(
        inputFault('out', 'not-one-of', out, { params: { allowed: '.svg, .pdf' }, allowed: ['.svg', '.pdf'] }),
      );
    if (read.faults.length > 0) return null;
    const words = {
      title: speech.t('field-card.title'),
      print: speech.t('field-card.print'),
      check: speech.t('field-card.check'),
    };
    const bytes =
      kind === 'pdf'
        ? await fieldCardPdf(FIELD_CARDS, size, page, words)
        : fieldCardSvg(FIELD_CARDS, size, page, words);
    try {
      writeFileSync(out!, bytes);
    } catch {
      read.fault(inputFault('out', 'file-unwritten', out));
      return null;
    }
    const card = FIELD_CARDS.cards[size];
    return {
      json: { out, size, page, patches: card.patches.length, field_mm: card.field_mm, check_mm: card.check.length_mm },
      text: speech.t('cli.field-card', { out, size }),
      exit: 0,
    };
  },
};
