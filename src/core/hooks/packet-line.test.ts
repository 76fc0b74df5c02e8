import { findModels, readPacketLine, readPastedPackets } from './packet-line';

const sizes = (text: string, stocked: string[] = []) =>
  readPacketLine(text, stocked).sizes.map(({ size, count }) => (count === null ? size : `${size}x${count}`));

describe('a line of the packet pad', () => {
  test.each([
    ['10 12 14 16 ×25', ['10x25', '12x25', '14x25', '16x25']],
    ['10 12x50 14 x25', ['10x25', '12x50', '14x25']],
    ['12-18 even', ['12', '14', '16', '18']],
    ['11-17 odd x20', ['11x20', '13x20', '15x20', '17x20']],
    ['12–16', ['12', '14', '16']],
    ['12-15', ['12', '13', '14', '15']],
    ['2-2/0', ['2/0', '1/0', '1', '2']],
    ['1/0 2/0 *6', ['1/0x6', '2/0x6']],
    ['V45, V50 x10', ['V45x10', 'V50x10']],
    ['13×10;15×5', ['13x10', '15x5']],
    ['12-15 even', ['12', '14']],
  ])('%s', (text, expected) => expect(sizes(text)).toEqual(expected));
  test('a range takes what the model stocks', () =>
    expect(sizes('10-16', ['8', '10', '11', '12', '16', '18'])).toEqual(['10', '11', '12', '16']));
  test('words before the first size name the model, even with a digit in them', () => {
    expect(readPacketLine('dry 1x 12 14')).toMatchObject({
      words: 'dry 1x',
      sizes: [{ size: '12' }, { size: '14' }],
      faults: [],
    });
    expect(readPacketLine('lark')).toMatchObject({ words: 'lark', sizes: [] });
  });
  test('what cannot be read is named, and so is a size that stands twice', () => {
    expect(readPacketLine('12 many 14').faults).toMatchObject([{ code: 'packet-token', params: { got: 'many' } }]);
    expect(readPacketLine('12 14 12').faults).toMatchObject([{ code: 'packet-twice', params: { size: '12' } }]);
  });
});

describe('pasted from a spreadsheet', () => {
  test('by headings in any order, or by place', () => {
    expect(readPastedPackets('Model\tSize\tMaker\tQty\nLark\t14\tOsmere\t25\nFine\t13\tBessock\t\n')).toEqual([
      'Osmere Lark 14 x25',
      'Bessock Fine 13',
    ]);
    expect(readPastedPackets('Osmere\tLark\t14\t25\r\nOsmere\tLark\t16\t10\r\n')).toEqual([
      'Osmere Lark 14 x25',
      'Osmere Lark 16 x10',
    ]);
  });
  test('plain lines stay as they are', () =>
    expect(readPastedPackets('lark 12 14 x25\n\nfine 13')).toEqual(['lark 12 14 x25', 'fine 13']));
});

describe('type ahead', () => {
  const models = [
    ['Osmere', 'Lark'],
    ['Osmere', 'Lark Long'],
    ['Ravelin', 'Long Dry'],
    ['Vantry', 'Series V'],
  ].map(([makerName, modelName]) => ({
    id: `${makerName}:${modelName}`,
    makerName: makerName!,
    modelName: modelName!,
  }));
  const found = (words: string) => findModels(words, models).map((model) => model.modelName);
  test.each([
    ['la', ['Lark', 'Lark Long']],
    ['lark', ['Lark', 'Lark Long']],
    ['os lo', ['Lark Long']],
    ['lo', ['Long Dry', 'Lark Long']],
    ['series v', ['Series V']],
    ['x', []],
    ['', []],
  ])('%s', (words, expected) => expect(found(words)).toEqual(expected));
});
