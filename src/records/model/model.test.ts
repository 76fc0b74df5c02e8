import { HOOK_COLUMNS, readHooksFile, writeHooksFile } from '@/core/exchange';
import { KNOWN } from '@/catalogue';
import { NUMBER_STEP } from '@/core/constants';
import { type State } from '@/state';
import { selectHooks, selectOwned } from '@/state/answering';
import { around } from '../__tests__/around';
import { withEvents } from '../__tests__/ledgers';
import { cleanEntities, leaveDemo } from '../demo';
import { demoEntities } from '../demo-valley';
import type { Entities } from '../kinds';
import { migrate } from '../migrate';
import { putPackets, takeFromPackets, takePackets } from '../packet/commands';
import { isLow, leftInPacket } from '../packet/queries';
import { packetSchema } from '../packet/schema';
import { putHooks, takeHooks } from './commands';
import { rowsOf, sizesOf } from './queries';

const stateOf = (entities: Entities) => ({ records: { entities } }) as State;
const hookOf = (entities: Entities, id: string) => selectHooks(stateOf(entities)).find((hook) => hook.id === id)!;
const LARK = { modelId: 'osmere:lark', made: null };

describe('the drawer', () => {
  const demo = demoEntities();
  test('every packet of the demo holds a hook that there is', () => {
    const known = new Set(selectHooks(stateOf(demo)).map((hook) => hook.id));
    expect(
      Object.values(demo.packet)
        .map((packet) => packet.hookId)
        .filter((id) => !known.has(id)),
    ).toEqual([]);
    expect(Object.values(demo.packet).some(isLow)).toBe(true);
  });
  test('what is owned is the sum of the ledgers of all packets of a hook, never below nought', () => {
    const entities = cleanEntities();
    const packet = (count: number, more: object = {}) =>
      withEvents('packet', packetSchema.cast({ hookId: 'osmere:lark:14', ...more }), {
        a: { at: 'x', count, why: 'got' },
        b: { at: 'y', count: -3, why: 'tied' },
      });
    entities.packet = {
      one: packet(25),
      two: packet(10, { label: 'other tin' }),
      three: packet(1, { hookId: 'bessock:fine:13' }),
    };
    expect(selectOwned(stateOf(entities))).toEqual({ 'osmere:lark:14': 29 });
    expect(leftInPacket(entities.packet.three!)).toBe(0);
  });
  test('the same hook bought again tops up its packet', () => {
    const entities = cleanEntities();
    const here = around();
    putPackets.run(entities, { packets: [{ ...LARK, sizes: [{ size: '14', count: 25 }] }] }, here);
    putPackets.run(entities, { packets: [{ ...LARK, sizes: [{ size: '14', count: 10 }] }] }, here);
    const [packet, ...others] = Object.values(entities.packet);
    expect([others, leftInPacket(packet!), packet!.tally.latest.length]).toEqual([[], 35, 2]);
  });
  test('a file of packets counts again what is here, by hook and label, and adds the rest; read twice it changes nothing more', () => {
    const entities = cleanEntities();
    const here = around('x');
    putPackets.run(entities, { packets: [{ ...LARK, sizes: [{ size: '14', count: 25 }] }] }, here);
    const first = Object.keys(entities.packet)[0]!;
    const row = (more: object) => ({
      packet: null,
      hookId: 'osmere:lark:14',
      count: 12,
      low: null,
      label: null,
      note: null,
      ...more,
    });
    const rows = [
      row({ low: 5, note: 'old tin' }),
      row({ count: 3 }),
      row({ label: 'wide one' }),
      row({ hookId: 'own:x:9', count: 0 }),
    ];
    takePackets.run(entities, { rows }, { ...here, now: 'y' });
    expect(
      Object.values(entities.packet).map((packet) => [
        packet.hookId,
        packet.label,
        leftInPacket(packet),
        packet.low,
        packet.note,
      ]),
    ).toEqual([
      ['osmere:lark:14', '', 15, 5, 'old tin'],
      ['osmere:lark:14', 'wide one', 12, null, ''],
      ['own:x:9', '', 0, null, ''],
    ]);
    expect(entities.packet[first]!.tally.latest.map(({ event }) => event)).toEqual([
      { at: 'y', count: -10, why: 'counted' },
      { at: 'x', count: 25, why: 'got' },
    ]);
    const before = structuredClone(entities.packet);
    takePackets.run(entities, { rows }, { ...here, now: 'z' });
    expect(entities.packet).toEqual(before);
  });
  test('hooks tied on come out of the packet that holds least, then the next, and never more than there are', () => {
    const entities = cleanEntities();
    const here = around('y');
    const packet = (count: number, more: object = {}) =>
      withEvents('packet', packetSchema.cast({ hookId: 'osmere:lark:14', ...more }), {
        a: { at: 'x', count, why: 'got' },
      });
    entities.packet = {
      big: packet(20),
      small: packet(3, { label: 'old tin' }),
      other: packet(9, { hookId: 'bessock:fine:13' }),
    };
    const left = () => Object.values(entities.packet).map(leftInPacket);
    expect(takeFromPackets(entities, { hookId: 'osmere:lark:14', count: 5 }, here)).toBe(5);
    expect(left()).toEqual([18, 0, 9]);
    expect(here.entered).toContainEqual({
      kind: 'packet',
      owner: 'small',
      id: expect.any(String),
      on: true,
      event: { at: 'y', count: -3, why: 'tied' },
    });
    expect(takeFromPackets(entities, { hookId: 'osmere:lark:14', count: 40 }, here)).toBe(18);
    expect(left()).toEqual([0, 0, 9]);
    expect(takeFromPackets(entities, { hookId: 'osmere:lark:14', count: 1 }, here)).toBe(0);
  });
  test('low from its mark on', () => {
    const packet = withEvents('packet', packetSchema.cast({ hookId: 'x', low: 5 }), {
      a: { at: 'x', count: 5, why: 'got' },
    });
    expect([isLow(packet), isLow({ ...packet, low: 4 }), isLow({ ...packet, low: null })]).toEqual([
      true,
      false,
      false,
    ]);
  });
  test("a packet of one's own keeps its demo model and maker when the demo leaves", () => {
    const entities = demoEntities();
    entities.packet.mine = packetSchema.cast({ hookId: 'kyrewood:jig-forty-five:12' });
    leaveDemo.run(entities, {}, around());
    expect([Object.keys(entities.model), Object.keys(entities.maker), Object.keys(entities.packet)]).toEqual([
      ['kyrewood:jig-forty-five'],
      ['kyrewood'],
      ['mine'],
    ]);
  });
});

describe('the catalogue', () => {
  test('goes out as a file and comes back the same, every hook of it', () => {
    const demo = demoEntities();
    const rows = Object.values(demo.model).flatMap((model) => rowsOf(model, demo.maker[model.makerId]));
    const text = writeHooksFile(rows);
    const again = cleanEntities();
    putHooks(again, readHooksFile(text, KNOWN).rows);
    expect(
      writeHooksFile(Object.values(again.model).flatMap((model) => rowsOf(model, again.maker[model.makerId]))),
    ).toBe(text);
    expect(text.split('\r\n')[0]!.split(',')).toEqual(HOOK_COLUMNS.filter((column) => column !== 'retired'));
  });
  test('read again it updates, and doubles nothing', () => {
    const entities = demoEntities();
    const before = Object.keys(entities.model).length;
    takeHooks.run(
      entities,
      {
        rows: readHooksFile(
          'maker,model,size,bend,shank_mm,source,retired\nosmere,lark,14,round,7.9,typed,yes\nosmere,lark,15,round,7.1,typed,\n',
          KNOWN,
        ).rows,
      },
      around(),
    );
    expect(Object.keys(entities.model)).toHaveLength(before);
    expect(entities.model['osmere:lark']!.sizes['14']).toMatchObject({ shankMm: 7.9, source: 'typed', retired: true });
    expect(sizesOf(entities.model['osmere:lark']!)).toEqual(expect.arrayContaining(['14', '15', '16']));
  });
  test('a file without columns for barb, point, eye and X leaves those of a known model, and gives a new one the usual', () => {
    const entities = cleanEntities();
    const read = (text: string) => takeHooks.run(entities, { rows: readHooksFile(text, KNOWN).rows }, around());
    read('maker,model,size,bend,shank_mm,eye,point,barb,x_long,x_heavy\nStaith,Smooth,14,round,8.4,up,in,none,2,1\n');
    read('maker,model,size,bend,shank_mm\nStaith,Smooth,16,round,7\nStaith,Other,16,round,7\n');
    expect(entities.model['staith:smooth']).toMatchObject({
      eye: 'up',
      point: 'in',
      barb: 'none',
      xLong: 2,
      xHeavy: 1,
    });
    expect(entities.model['staith:other']).toMatchObject({
      eye: 'down',
      point: 'straight',
      barb: 'barbed',
      xLong: 0,
      xHeavy: 0,
    });
    read('maker,model,size,bend,shank_mm,barb\nStaith,Smooth,16,round,7,barbed\n');
    expect(entities.model['staith:smooth']).toMatchObject({ barb: 'barbed', eye: 'up' });
  });
  test('a dimension that a file leaves empty stays as it was typed, also where the file says where its own come from', () => {
    const entities = cleanEntities();
    const take = (line: string) =>
      takeHooks.run(
        entities,
        { rows: readHooksFile(`maker,model,size,bend,shank_mm,gape_mm,wire_mm,source\n${line}\n`, KNOWN).rows },
        around(),
      );
    take('m,x,14,round,7.31,,0.4,typed');
    take('m,x,14,round,,4.1,,label');
    expect(entities.model['m:x']!.sizes['14']).toMatchObject({ shankMm: 7.31, gapeMm: 4.1, wireMm: 0.4 });
    take('m,x,14,round,,,,label');
    expect(entities.model['m:x']!.sizes['14']).toMatchObject({ shankMm: 7.31, gapeMm: 4.1, wireMm: 0.4 });
    const whole = structuredClone(entities);
    take('m,x,14,round,,,,label');
    expect(entities).toEqual(whole);
    take('m,x,14,round,7.4,,,typed');
    expect(entities.model['m:x']!.sizes['14']).toMatchObject({ shankMm: 7.4, gapeMm: 4.1 });
  });
  test('sizes stand the biggest hook first, gape codes too, free text last', () => {
    const entities = cleanEntities();
    putHooks(
      entities,
      readHooksFile(
        'maker,model,size,bend,gape_mm\nm,x,14,round,\nm,x,2/0,round,\nm,x,small,round,4\nm,x,2,round,\nm,y,V45,round,\nm,y,V60,round,\n',
        KNOWN,
      ).rows,
    );
    expect(sizesOf(entities.model['m:x']!)).toEqual(['2/0', '2', '14', 'small']);
    expect(sizesOf(entities.model['m:y']!)).toEqual(['V60', 'V45']);
  });
  test('one hook taped moves its packet mates, and is told as measured', () => {
    const entities = demoEntities();
    const before = hookOf(entities, 'bessock:fine-wet:14');
    expect(before.shank.source).toBe('label');
    entities.model = {
      ...entities.model,
      'bessock:fine-wet': {
        ...entities.model['bessock:fine-wet']!,
        tally: {
          t1: { at: 'x', size: '12', how: 'calliper', shankMm: 9.4, gapeMm: null, overallMm: null, wireMm: null },
        },
      },
    };
    expect(hookOf(entities, 'bessock:fine-wet:12').shank).toMatchObject({ value: 9.4, source: 'measured' });
    const after = hookOf(entities, 'bessock:fine-wet:14');
    expect(after.shank.source).toBe('model');
    expect(after.shank.value).toBeGreaterThan(before.shank.value);
    expect(after.shank.sd! / after.shank.value / NUMBER_STEP).toBeLessThan(0.35);
  });
  test('a maker that reads X otherwise makes its hooks longer', () => {
    const entities = demoEntities();
    const plain = hookOf(entities, 'bessock:fine-wet:14').shank.value;
    entities.maker = { ...entities.maker, bessock: { ...entities.maker.bessock!, xLabel: 'catalogue-step' } };
    expect(hookOf(entities, 'bessock:fine-wet:14').shank.value / plain).toBeCloseTo(1 / 0.919, 6);
  });
});

describe('older records', () => {
  test('sizes-by-label, retired-makers and hooks-of-ones-own bring them to the present shape', () => {
    expect(
      migrate('model', 1, {
        makerId: 'm',
        slug: 'x',
        name: 'X',
        bend: 'round',
        eye: 'down',
        point: 'straight',
        barb: 'none',
        sizes: [
          {
            size: '1/0',
            shankMm: 22,
            gapeMm: null,
            biteMm: null,
            wireMm: null,
            eyeMm: null,
            massMg: null,
            source: 'measured',
          },
        ],
      }),
    ).toMatchObject({
      ok: true,
      data: { sizes: { '1/0': { shankMm: 22, source: 'measured', retired: false } }, retired: false },
    });
    expect(migrate('maker', 1, { name: 'M', xLabel: 'catalogue-step', habit: '' })).toMatchObject({
      ok: true,
      data: { xLabel: 'catalogue-step', retired: false },
    });
    expect(migrate('settings', 2, { unit: 'mm', south: true })).toMatchObject({
      ok: true,
      data: { south: true, onlyOwned: false, convertBy: 'length', smallest: null },
    });
  });
  test('a size with a shank that is no number is refused', () =>
    expect(
      migrate('model', 2, {
        makerId: 'm',
        slug: 'x',
        name: 'X',
        bend: 'round',
        eye: 'down',
        point: 'straight',
        barb: 'none',
        sizes: { 14: { shankMm: 'long', source: 'typed' } },
        tapings: {},
      }),
    ).toMatchObject({ ok: false, reason: 'schema' }));
});
