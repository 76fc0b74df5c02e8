import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { file, folder, json, runNow } from './__tests__/files';
import { COMMANDS, run as runNowOrLater, type Outcome } from './run';

/** Every command but those of pictures and PDF answers at once. */
const run = (argv: readonly string[]) => runNow(...argv);
const DUN = ['match', '--order', 'mayfly', '--stage', 'dun'];

describe('match', () => {
  const { exit, value } = json(
    ...DUN,
    '--length',
    '8.2',
    '--length=8.6',
    '--length',
    '8.0',
    '--belly',
    '#b8a857',
    '--colour',
    'wing=lab(60 0 -4)',
  );
  test('answers in the published shape', () => {
    expect(exit).toBe(0);
    expect(Object.keys(value)).toEqual([
      'natural',
      'style',
      'hooks',
      'by_maker',
      'none_fits',
      'holds',
      'dressing',
      'alternatives',
      'card',
      'warnings',
    ]);
    expect(value.natural).toMatchObject({
      order: 'mayfly',
      stage: 'dun',
      length: { n: 3, values_mm: [8.2, 8.6, 8], mean_mm: 8.26667, method: 'typed', outliers: [] },
      case_mm: null,
      overall_mm: null,
      water: null,
      offset: { sizes: 0, intent: 'exact' },
    });
    expect(value.natural.colours['abdomen-belly']).toMatchObject({
      hex: '#b8a857',
      surface: 'dry',
      source: 'typed',
      words: expect.any(String),
    });
    expect(value.natural.colours.wing.lab).toEqual([60, 0, -4]);
    expect(value.hooks).toHaveLength(12);
    expect(Object.keys(value.by_maker)).toHaveLength(7);
    expect(value.card.cautions[0].text).toMatch(/Local rules and licensed practice come first\.$/);
    expect(value.hooks[0].reasons[0]).toEqual({
      code: expect.any(String),
      text: expect.any(String),
      steps: expect.any(Number),
      weight: null,
      evidence: 'theory',
    });
  });
  test('numbers carry at most six significant digits and are never NaN', () => {
    const walk = (item: unknown): void => {
      if (typeof item === 'number') expect(Number(item.toPrecision(6))).toBe(item);
      else if (item !== null && typeof item === 'object') Object.values(item).forEach(walk);
    };
    walk(value);
    expect(JSON.stringify(value)).not.toMatch(/undefined|NaN/);
  });
  test('aliases, names and any case', () => {
    expect(json('match', '--order', 'UPWING', '--stage', 'Subimago', '--length', '8').value.natural).toMatchObject({
      order: 'mayfly',
      stage: 'dun',
    });
    expect(json('match', '--stage', 'bloodworm', '--length', '8').value.natural).toMatchObject({
      order: 'midge',
      stage: 'larva',
    });
    expect(json('match', '--order', 'mayfly', '--stage', 'spent-spinner', '--length', '8').value.natural.stage).toBe(
      'spent',
    );
  });
  test('a stage of more than one order asks for the order', () =>
    expect(json('match', '--stage', 'nymph', '--length', '8').value.error).toMatchObject({
      field: 'order',
      allowed: expect.arrayContaining(['mayfly', 'stonefly']),
    }));
  test('inches', () => expect(json(...DUN, '--length', '5/16"').value.natural.length.values_mm).toEqual([7.9375]));
  test('--top, --maker, --owned with a drawer', () => {
    const drawer = file('drawer.csv', 'maker,model,size,count\nosmere,lark,14,18\n');
    expect(json(...DUN, '--length', '8', '--top', '3').value.hooks).toHaveLength(3);
    expect(Object.keys(json(...DUN, '--length', '8', '--maker', 'Bessock').value.by_maker)).toEqual(['bessock']);
    expect(
      json(...DUN, '--length', '8', '--owned', '--drawer', drawer).value.hooks.map(
        (hook: { id: string; owned: number }) => [hook.id, hook.owned],
      ),
    ).toEqual([['osmere:lark:14', 18]]);
  });
  test('an own catalogue adds, and replaces with --only-catalogue', () => {
    const own = file('own.csv', 'maker,model,size,bend,shank_mm\nhome,plain,12,round,7.4\n');
    expect(json(...DUN, '--length', '8', '--catalogue', own).value.by_maker.home.id).toBe('home:plain:12');
    expect(Object.keys(json(...DUN, '--length', '8', '--catalogue', own, '--only-catalogue').value.by_maker)).toEqual([
      'home',
    ]);
    expect(json(...DUN, '--length', '8', '--catalogue', own, '--only-catalogue').value.hooks[0].estimated).toContain(
      'gape_mm',
    );
  });
  test('a school sets the offset only where none was typed', () => {
    expect(json(...DUN, '--length', '8', '--school', 'size=one-up').value.natural.offset).toEqual({
      sizes: 1,
      intent: 'bigger',
    });
    expect(json(...DUN, '--length', '8', '--school', 'size=one-up', '--offset', '-1').value.natural.offset).toEqual({
      sizes: -1,
      intent: 'smaller',
    });
  });
});

describe('faults', () => {
  const faultsOf = (...argv: string[]) => json(...argv).value.errors.map((fault: { field: string }) => fault.field);
  test('all are found, the first is named, exit 2', () => {
    const { exit, value } = json(
      'match',
      '--order',
      'mayfly',
      '--stage',
      'queen',
      '--length',
      '-3',
      '--belly',
      'red',
      '--offset',
      '9',
    );
    expect(exit).toBe(2);
    expect(value.error).toEqual(value.errors[0]);
    expect(value.errors.map((fault: { field: string }) => fault.field)).toEqual(
      expect.arrayContaining(['stage', 'length', 'belly', 'offset']),
    );
    expect(value.errors.find((fault: { field: string }) => fault.field === 'length')).toMatchObject({
      got: '-3',
      allowed: null,
      line: null,
      column: null,
    });
  });
  test.each([
    [['match', '--stage', 'dun'], 'length'],
    [['match', '--length', '8'], 'stage'],
    [[...DUN, '--length', ''], 'length'],
    [[...DUN, '--length'], 'length'],
    [[...DUN, '--lenght', '8'], 'lenght'],
    [[...DUN, '--length', '8', '--hook', 'osmere:lark:15'], 'hook'],
    [[...DUN, '--length', '8', '--dressing', 'nothing'], 'dressing'],
    [[...DUN, '--length', '8', '--drawer', '/nowhere.csv'], 'drawer'],
    [[...DUN, '--length', '8', '--colour', 'wing'], 'colour'],
    [[...DUN, '--length', '8', '--school', 'tail=gape'], 'school'],
    [[...DUN, '--length', '8', '--top', '0'], 'top'],
    [[...DUN, '--length', '8', '--unit', 'cm'], 'unit'],
    [[...DUN, '--length', '8', 'extra'], 'command'],
    [['card', '--dressing', 'first-light-dun'], 'hook'],
    [['hooks', 'read'], 'shank'],
    [['hooks', 'weigh'], 'command'],
    [['moth'], 'command'],
  ])('%j names %s', (argv, field) => expect(faultsOf(...argv)).toContain(field));
  test('a bad row of a catalogue carries its line and column', () => {
    const own = file('bad.csv', 'maker,model,size,bend,shank_mm\nhome,plain,12,banana,7.4\n');
    expect(json(...DUN, '--length', '8', '--catalogue', own).value.error).toMatchObject({
      field: 'catalogue',
      line: 2,
      column: 'bend',
      got: 'banana',
      allowed: expect.arrayContaining(['round']),
    });
  });
  test('without --json one line on stderr and nothing on stdout', () => {
    const outcome = run([...DUN, '--lenght', '8']);
    expect(outcome).toMatchObject({ stdout: '', exit: 2 });
    expect(outcome.stderr).toMatch(/^lenght: no such flag; nearest is --length\n$/);
  });
});

describe('hooks read', () => {
  test('golden', () => {
    const { value } = json('hooks', 'read', '--shank', '7.6');
    expect(Object.keys(value)).toEqual(['shank_mm', 'reads', 'nearest', 'gape_mm', 'wire_mm', 'eye_mm', 'source']);
    expect(value).toMatchObject({ shank_mm: 7.6, reads: 13.0264, nearest: '13', source: 'model' });
  });
  test('with a gape', () =>
    expect(json('hooks', 'read', '--shank', '7.6', '--gape', '5').value).toMatchObject({
      gape_mm: 5,
      reads_gape: 11.9287,
    }));
  test('over 1', () => expect(json('hooks', 'read', '--shank', '22.8').value.nearest).toBe('1/0'));
});

describe('hooks convert', () => {
  test('every other maker, nearest first, in the published shape', () => {
    const { value } = json('hooks', 'convert', '--maker', 'Osmere', '--model', 'lark', '--size', '14');
    expect(value.from).toMatchObject({ id: 'osmere:lark:14', target_mm: null, steps: null, probability: null });
    expect(Object.keys(value.to).sort()).toEqual(['bessock', 'kyrewood', 'ravelin', 'reference', 'tholeby', 'vantry']);
    const near = Object.values<Record<string, unknown>>(value.to)[0]!;
    expect(Object.keys(near)).toEqual([
      'hook',
      'steps',
      'length_mm',
      'gape_mm',
      'wire_mm',
      'mass_mg',
      'same',
      'close',
      'reasons',
    ]);
    expect(value.drawer).toBeNull();
  });
  test('with a drawer', () => {
    const drawer = file('drawer.csv', 'maker,model,size,count\nravelin,plain-dry,12,4\n');
    expect(
      json(
        'hooks',
        'convert',
        '--maker',
        'osmere',
        '--model',
        'lark',
        '--size',
        '14',
        '--drawer',
        drawer,
        '--owned',
        '--weights',
        'gape',
      ).value,
    ).toMatchObject({
      to: { ravelin: { hook: { id: 'ravelin:plain-dry:12', owned: 4 } } },
      drawer: { hook: { id: 'ravelin:plain-dry:12' } },
    });
  });
  test('a size between two that are stocked is answered as about; one outside is not', () => {
    expect(
      json('hooks', 'convert', '--maker', 'kyrewood', '--model', 'dry-1x', '--size', '13').value.from.estimated,
    ).toContain('shank_mm');
    expect(json('hooks', 'convert', '--maker', 'kyrewood', '--model', 'dry-1x', '--size', '40')).toMatchObject({
      exit: 2,
      value: { error: { field: 'size', got: '40' } },
    });
  });
  test('a wrong model names those there are', () =>
    expect(json('hooks', 'convert', '--maker', 'osmere', '--model', 'larch', '--size', '14').value.error).toMatchObject(
      { field: 'model', allowed: expect.arrayContaining(['lark']) },
    ));
});

describe('hooks check', () => {
  const rows = 'maker;model;size;bend;shank_mm\nm;x;12;round;8,2\nm;x;14;banana;\nm;x;1/0;round;\n';
  test('counts rows and names what is bad with its line; good and bad are written apart', () => {
    const [out, bad] = [file('good.csv', ''), file('bad.csv', '')];
    const result = json('hooks', 'check', file('hooks.csv', rows), '--out', out, '--bad', bad);
    expect(result.exit).toBe(2);
    expect(result.value).toMatchObject({
      rows: 3,
      good: 2,
      bad: 1,
      problems: [
        {
          line: 3,
          column: 'bend',
          record: 'm x 14',
          rule: 'cell-not-one-of',
          got: 'banana',
          accepted: expect.stringContaining('round'),
        },
      ],
    });
    expect(readFileSync(bad, 'utf8')).toMatch(/^maker,model,size,bend,shank_mm,problem\r\nm,x,14,banana,,/);
    expect(json('hooks', 'check', out)).toMatchObject({ exit: 0, value: { rows: 2, good: 2, bad: 0 } });
  });
  test('columns of other names, in inches', () => {
    const other = file('other.csv', 'Firm,Code,No,Shape,Long\nm,x,12,round,0.32\n');
    const out = file('good.csv', '');
    expect(
      json(
        'hooks',
        'check',
        other,
        '--map',
        'maker=Firm',
        '--map',
        'model=Code',
        '--map',
        'size=No',
        '--map',
        'bend=Shape',
        '--map',
        'shank_mm=Long',
        '--unit',
        'in',
        '--out',
        out,
      ).exit,
    ).toBe(0);
    expect(readFileSync(out, 'utf8')).toContain('8.128');
    expect(json('hooks', 'check', other, '--map', 'maker=None').value.error).toMatchObject({
      field: 'map',
      got: 'None',
    });
    expect(json('hooks', 'check', other, '--map', 'sank_mm=Long').value.error.message).toContain('shank_mm');
  });
});

describe('hooks law', () => {
  test('one measured hook moves its model', () => {
    const model = file(
      'model.csv',
      'maker,model,size,bend,shank_mm,source\nm,x,12,round,,\nm,x,14,round,7.7,measured\nm,x,16,round,,\n',
    );
    const { sizes } = json('hooks', 'law', '--model', model).value;
    expect(sizes.map((item: { size: string; source: string }) => [item.size, item.source])).toEqual([
      ['12', 'model'],
      ['14', 'measured'],
      ['16', 'model'],
    ]);
    expect(sizes[0].shank_mm).toBeGreaterThan(8.9);
    expect(sizes[0].sd_mm / sizes[0].shank_mm).toBeLessThan(0.03);
  });
  test('a file of two models is refused', () =>
    expect(
      json('hooks', 'law', '--model', file('two.csv', 'maker,model,size,bend\nm,x,12,round\nm,y,12,round\n')),
    ).toMatchObject({ exit: 2, value: { error: { field: 'model' } } }));
});

describe('card', () => {
  test('in the published shape, for a batch', () => {
    const { value } = json(
      'card',
      '--dressing',
      'first-light-dun',
      '--hook',
      'reference:standard-dry:14',
      '--count',
      '12',
    );
    expect(value).toMatchObject({
      dressing: { id: 'first-light-dun', rev: 2 },
      hand: 'right',
      fits: true,
      binder: 'thread',
      over: null,
      batch: { count: 12 },
    });
    expect(value.hook).toMatchObject({
      target_mm: null,
      length_steps: null,
      steps: null,
      probability: null,
      share: null,
    });
    expect(value.batch.lines[0]).toEqual({
      material: expect.any(String),
      per_fly: expect.any(String),
      total: expect.any(String),
      waste: expect.any(Number),
    });
  });
  test('1/0 is written with a slash or a dash', () =>
    expect(json('card', '--dressing', 'film-wing-stone', '--hook', 'reference:standard-dry:1/0').exit).toBe(0));
});

describe('dressings', () => {
  test('by id without a stage, best first with one', () => {
    const all = json('dressings').value.dressings;
    expect(all.map((item: { id: string }) => item.id)).toEqual([...all.map((item: { id: string }) => item.id)].sort());
    const duns = json('dressings', '--order', 'mayfly', '--stage', 'dun', '--length', '8').value.dressings;
    expect(duns[0]).toMatchObject({ id: 'first-light-dun', score: 1, stages: [{ order: 'mayfly', stage: 'dun' }] });
  });
  test('why', () =>
    expect(json('dressings', 'why', 'washed-dun', '--order', 'mayfly', '--stage', 'dun').value).toMatchObject({
      id: 'washed-dun',
      chosen: false,
      score: expect.any(Number),
      reasons: expect.arrayContaining([expect.objectContaining({ code: 'stage-neighbour', weight: 0.5 })]),
    }));
  test('check a good file, a bad one and the library', () => {
    const library = JSON.parse(readFileSync(join(__dirname, '../src/catalogue/dressings/mayfly.json'), 'utf8'));
    const good = file('good.json', JSON.stringify({ aubade: 'dressings', version: 1, items: [library[0]] }));
    expect(json('dressing', 'check', good)).toMatchObject({
      exit: 0,
      value: { rows: 1, good: 1, bad: 0, problems: [] },
    });
    const spoiled = { ...library[0], order: 'thread, wing, abdomen, tail, hackle, thorax, hackle.wind, head' };
    const { exit, value } = json('dressings', 'check', file('bad.json', JSON.stringify([spoiled, { id: 'half' }])));
    expect(exit).toBe(2);
    expect(value).toMatchObject({ rows: 2, good: 0, bad: 2 });
    expect(value.problems.map((problem: { rule: string }) => problem.rule)).toEqual(
      expect.arrayContaining(['bench-T2', 'schema']),
    );
    expect(json('dressings', 'check', '--all').value).toMatchObject({ bad: 0 });
    expect(
      json('dressings', 'check', file('newer.json', JSON.stringify({ aubade: 'dressings', version: 4, items: [] })))
        .value.error.message,
    ).toMatch(/newer/);
  });
  test('dressings of one’s own join the shipped ones wherever a dressing is named', () => {
    const library = JSON.parse(readFileSync(join(__dirname, '../src/catalogue/dressings/mayfly.json'), 'utf8'));
    const own = file(
      'own.json',
      JSON.stringify({
        aubade: 'dressings',
        version: 3,
        items: [{ ...library[0], id: 'my-dun', name: 'My dun', length_mm: [2, 4] }],
      }),
    );
    expect(
      json('card', '--dressing', 'my-dun', '--hook', 'reference:standard-dry:18', '--dressings', own).value.dressing,
    ).toMatchObject({ id: 'my-dun', name: 'My dun' });
    expect(
      json('match', '--order', 'mayfly', '--stage', 'dun', '--length', '3', '--dressing', 'my-dun', '--dressings', own)
        .value.dressing,
    ).toMatchObject({ id: 'my-dun', pinned: true });
    expect(json('dressings', 'why', 'my-dun', '--stage', 'mayfly/dun', '--dressings', own).value.id).toBe('my-dun');
    expect(json('card', '--dressing', 'my-dun', '--hook', 'reference:standard-dry:18').value.error.field).toBe(
      'dressing',
    );
    const furred = file(
      'furred.json',
      JSON.stringify({
        aubade: 'dressings',
        version: 3,
        materials: [{ id: 'own-dusk-fur', name: 'Dusk fur', like: 'fine-fur', hex: '#4a3f52' }],
        items: [
          {
            ...library[0],
            id: 'dusk-dun',
            name: 'Dusk dun',
            parts: library[0].parts.map((part: string) => part.replace('fine-fur', 'own-dusk-fur')),
          },
        ],
      }),
    );
    expect(json('dressings', 'check', furred).value).toMatchObject({ good: 1, bad: 0 });
    const dusk = json(
      'card',
      '--dressing',
      'dusk-dun',
      '--hook',
      'reference:standard-dry:14',
      '--dressings',
      furred,
    ).value.parts.find((part: { part: string }) => part.part === 'abdomen');
    expect(dusk).toMatchObject({
      material: { id: 'own-dusk-fur', name: 'Dusk fur', function: 'body.dubbed' },
      colour: { hex: '#4a3f52' },
    });
    const broken = file(
      'broken.json',
      JSON.stringify([{ ...library[0], id: 'odd', parts: ['tail braid stiff-fibres-grey'] }]),
    );
    expect(
      json('card', '--dressing', 'odd', '--hook', 'reference:standard-dry:18', '--dressings', broken),
    ).toMatchObject({ exit: 2, value: { error: { field: 'dressings', message: expect.stringMatching(/odd/) } } });
  });
  test('a stash says what is short', () => {
    const stash = file('stash.csv', 'material\nthread-olive-70\n');
    const first = json('dressings', '--stage', 'mayfly/dun', '--stash', stash).value.dressings[0];
    expect(first.why.map((reason: { code: string }) => reason.code)).toContain('ready-short');
  });
  test('a card, a match and a box are worked from the stash', () => {
    const stash = file(
      'stash.csv',
      'material\nthread-brown-70\nstiff-fibres-grey\nrust-fur\nwing-yarn-grey\ncock-hackle-grey\n',
    );
    const hook = ['--hook', 'reference:standard-dry:14'];
    const materials = (value: { parts: { part: string; material: { id: string } }[] }) =>
      Object.fromEntries(value.parts.map((part) => [part.part, part.material.id]));
    const card = json('card', '--dressing', 'first-light-dun', ...hook, '--stash', stash).value;
    expect(materials(card)).toMatchObject({ abdomen: 'rust-fur', head: 'thread-brown-70', wing: 'wing-yarn-grey' });
    expect(card.ready).toBe('substitutes');
    expect(run(['card', '--dressing', 'first-light-dun', ...hook, '--stash', stash]).stdout).toMatch(
      /From your stash\n[^]*stands in for/,
    );
    expect(
      materials(json(...DUN, '--length', '8', '--dressing', 'first-light-dun', '--stash', stash).value.card),
    ).toMatchObject({ abdomen: 'rust-fur' });
    expect(materials(json('card', '--dressing', 'first-light-dun', ...hook).value)).toMatchObject({
      abdomen: 'fine-fur',
    });
    const box = file('box.csv', 'id,name,dressing,hook,count\na,Dun,first-light-dun,reference:standard-dry:14,1\n');
    expect(
      json(
        'box',
        'match',
        '--box',
        box,
        '--stage',
        'mayfly/dun',
        '--length',
        '8',
        '--stash',
        stash,
      ).value.flies[0].reasons.map((why: { code: string }) => why.code),
    ).toContain('ready-substitutes');
    expect(
      json('card', '--dressing', 'first-light-dun', ...hook, '--stash', file('odd.csv', 'material\nmoonlight\n')).value
        .error.field,
    ).toBe('stash');
  });
});

describe('help and ids', () => {
  test('every command prints flags, an example and the shape', () => {
    for (const command of COMMANDS) {
      const { stdout, exit } = run([command.name, '--help']);
      expect(exit).toBe(0);
      expect(stdout).toMatch(/--json/);
      expect(stdout).toMatch(/example/);
      expect(stdout).toMatch(/JSON\n/);
    }
    expect(run(['--help']).stdout).toMatch(/match/);
    expect(run(['--version']).stdout).toMatch(/^\d+\.\d+\.\d+\n$/);
  });
  test('ids prints the one list', () =>
    expect(json('ids').value).toEqual(JSON.parse(readFileSync(join(__dirname, '../src/catalogue/ids.json'), 'utf8'))));
  test('readable text stays within 80 columns', () => {
    for (const argv of [
      [...DUN, '--length', '8'],
      ['card', '--dressing', 'flat-stone-nymph', '--hook', 'tholeby:stone-long:4', '--count', '6'],
      ['dressings'],
      ['match', '--help'],
      ['hooks', 'read', '--shank', '8'],
    ]) {
      for (const line of run(argv).stdout.split('\n')) expect(line.length).toBeLessThanOrEqual(80);
    }
  });
});

describe('stage', () => {
  const { exit, value } = json(
    'stage',
    '--sign',
    'wings=cloudy-upright',
    '--sign',
    'tails=2',
    '--month',
    '5',
    '--length',
    '8.2',
  );
  test('answers in the published shape', () => {
    expect(exit).toBe(0);
    expect(Object.keys(value)).toEqual(['posterior', 'groups', 'because', 'next', 'lookalike', 'certain', 'becomes']);
    expect(value.posterior[0]).toEqual({ order: 'mayfly', stage: 'dun', p: expect.any(Number) });
    expect(value.posterior.reduce((sum: number, item: { p: number }) => sum + item.p, 0)).toBeCloseTo(1, 4);
    expect(value.because[0]).toEqual({
      sign: 'wings',
      answer: 'cloudy-upright',
      for: 'mayfly/dun',
      bits: expect.any(Number),
    });
    expect(value.next).toEqual({
      sign: expect.any(String),
      question: expect.stringMatching(/\?$/),
      answers: expect.any(Array),
      gain_bits: expect.any(Number),
    });
    expect(value.becomes).toContainEqual({
      order: 'mayfly',
      stage: 'spinner',
      length_mm: [expect.any(Number), expect.any(Number)],
    });
  });
  test('a later sign replaces an earlier, unknown takes it back', () => {
    expect(
      json(
        'stage',
        '--sign',
        'wings=roof',
        '--sign',
        'wings=cloudy-upright',
        '--sign',
        'tails=2',
        '--month',
        '5',
        '--length',
        '8.2',
      ).value.posterior,
    ).toEqual(value.posterior);
    expect(json('stage', '--sign', 'case=stone', '--sign', 'case=unknown').value).toEqual(json('stage').value);
  });
  test('the grade of its weights stands under the odds', () =>
    expect((run(['stage', '--sign', 'wings=roof']) as Outcome).stdout).toMatch(/%\n\nWeights of the signs: heard\./));
  test('place and month as flags or as signs', () =>
    expect(json('stage', '--found', 'film', '--water', 'slow', '--month', '6').value).toEqual(
      json('stage', '--sign', 'found=film', '--sign', 'water=slow', '--sign', 'month=6').value,
    ));
  test('south of the equator names no group', () =>
    expect(json('stage', '--sign', 'case=stone', '--south').value.groups).toEqual([]));
  test('signs are listed with their questions', () => {
    const { signs } = json('stage', '--list-signs').value;
    expect(signs.map((sign: { id: string }) => sign.id)).toEqual(
      expect.arrayContaining(['wings', 'tails', 'found', 'doing', 'light', 'month', 'water']),
    );
    for (const sign of signs)
      for (const answer of sign.answers)
        expect(answer).toEqual({ id: expect.any(String), text: expect.not.stringContaining('sign.') });
  });
  test.each([
    [['--sign', 'wing=roof'], 'sign'],
    [['--sign', 'wings=green'], 'sign'],
    [['--rise', 'plop'], 'rise'],
    [['--month', '13'], 'month'],
    [['--region', 'moon'], 'region'],
    [['--seen', 'cows'], 'seen'],
  ])('%j names its field', (argv, field) => {
    expect(json('stage', ...argv)).toMatchObject({ exit: 2, value: { error: { field } } });
  });
});

describe('box match', () => {
  const example = join(__dirname, '../docs/formats/examples/box.csv');
  test('ranks the flies carried, with what is left and where', () => {
    const { exit, value } = json(
      'box',
      'match',
      '--box',
      example,
      '--stage',
      'mayfly/dun',
      '--length',
      '8.2',
      '--words',
      'pale olive',
    );
    expect(exit).toBe(0);
    expect(Object.keys(value)).toEqual(['belief', 'flies', 'none_close', 'next_look']);
    expect(value.belief).toEqual([{ order: 'mayfly', stage: 'dun', p: 1 }]);
    expect(value.flies[0]).toMatchObject({
      fly: 'fly-1',
      hook: 'osmere:lark:14',
      left: 6,
      place: 'dry box, row 1',
      colour_words: expect.any(String),
      trims: [],
    });
    expect(value.none_close).toBeNull();
  });
  test('signs in place of a stage', () =>
    expect(
      json('box', 'match', '--box', example, '--sign', 'wings=flat-out', '--sign', 'doing=spent').value.flies[0].fly,
    ).toBe('fly-2'));
  test('JSON in the envelope reads the same', () => {
    const box = file(
      'box.json',
      JSON.stringify({ aubade: 'box', version: 1, items: [{ id: 'x', stage: 'mayfly/dun', length_mm: 8, count: 2 }] }),
    );
    expect(json('box', 'match', '--box', box, '--stage', 'mayfly/dun').value.flies).toEqual([
      expect.objectContaining({ fly: 'x', left: 2, colour_words: null, steps: null }),
    ]);
  });
  test('a bad row and a missing box are named', () => {
    expect(
      json('box', 'match', '--box', file('bad-box.csv', 'stage,count\nmayfly/larva,2\n')).value.error,
    ).toMatchObject({ field: 'box', line: 2, column: 'stage' });
    expect(json('box', 'match', '--stage', 'mayfly/dun').value.error).toMatchObject({ field: 'box' });
    expect(json('box', 'sell').value.error).toMatchObject({ field: 'command' });
  });
});

describe('field-card', () => {
  const card = async (...argv: string[]) => {
    const outcome = await runNowOrLater(['field-card', ...argv, '--json']);
    return { exit: outcome.exit, value: JSON.parse(outcome.stdout) };
  };
  test('writes SVG that states its clear field, and PDF of the page', async () => {
    const svg = join(folder, 'card.svg');
    expect(await card('--size', 'wallet', '--page', 'a4', '--out', svg)).toEqual({
      exit: 0,
      value: { out: svg, size: 'wallet', page: 'a4', patches: 8, field_mm: [13, 10, 59.6, 34], check_mm: 50 },
    });
    const text = readFileSync(svg, 'utf8');
    expect(text).toMatch(/<svg [^>]*width="210mm" height="297mm"[^>]* data-field-mm="13 10 59.6 34"/);
    expect(text.match(/<circle/g)).toHaveLength(18);
    const pdf = join(folder, 'card.pdf');
    expect((await card('--size', 'large', '--page', 'letter', '--out', pdf)).value).toMatchObject({
      size: 'large',
      page: 'letter',
      field_mm: [20, 16, 110, 66],
    });
    const bytes = readFileSync(pdf);
    expect([bytes.subarray(0, 5).toString(), bytes.length > 1500]).toEqual(['%PDF-', true]);
  });
  test('a file that is neither, and one that cannot be written, are named', async () => {
    expect((await card('--out', join(folder, 'card.png'))).value.error).toMatchObject({
      field: 'out',
      allowed: ['.svg', '.pdf'],
    });
    expect((await card('--out', join(folder, 'none', 'card.svg'))).value.error).toMatchObject({
      field: 'out',
      message: expect.stringMatching(/^cannot be written/),
    });
  });
});

describe('measure', () => {
  const measure = async (...argv: string[]) => {
    const outcome = await runNowOrLater(['measure', ...argv, '--json']);
    return { exit: outcome.exit, value: JSON.parse(outcome.stdout) };
  };
  const grey = join(folder, 'grey.png');
  beforeAll(() =>
    sharp({ create: { width: 60, height: 40, channels: 3, background: '#c8c8c8' } })
      .png()
      .toFile(grey),
  );
  test('a picture without a card is refused with what to do, and exits with 0', async () => {
    expect(await measure(grey, '--view', 'back', '--surface', 'wet')).toEqual({
      exit: 0,
      value: {
        refused: {
          code: 'photo-no-card',
          message: expect.stringMatching(/^the field card was not found/),
          do: expect.stringMatching(/whole card/),
        },
        field_card: { found: false, kind: null, residual_mm: null, tilt_deg: null, printed_scale: 1 },
        light: null,
        specimens: [],
      },
    });
  });
  test('a card of its own gives its printed scale', async () => {
    const own = file('card.json', '{ "printed_scale": 0.97 }');
    expect((await measure(grey, '--field-card', own)).value.field_card.printed_scale).toBe(0.97);
    expect((await measure(grey, '--field-card', file('bad.json', '{ "printed_scale": 3 }'))).value.error).toMatchObject(
      { field: 'field-card' },
    );
  });
  test('what is no picture, points without a length, and points that are none are named', async () => {
    expect((await measure(file('x.jpg', 'no picture'))).value.error).toMatchObject({
      field: 'photo',
      message: expect.stringMatching(/^is not a JPEG, PNG or WebP/),
    });
    expect((await measure(grey, '--points', '1,2:3,4')).value.error).toMatchObject({ field: 'known' });
    expect((await measure(grey, '--known', '10')).value.error).toMatchObject({ field: 'points' });
    expect((await measure(grey, '--known', '10', '--points', 'here')).value.error).toMatchObject({
      field: 'points',
      got: 'here',
    });
    expect((await measure()).value.error).toMatchObject({ field: 'photo' });
  });
});
