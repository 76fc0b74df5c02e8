import { act, fireEvent, screen } from '@testing-library/react';
import { Activity, useState } from 'react';
import type { StageId } from '@/catalogue/ids';
import { MatchScreen } from '@/features/match-frame/screens';
import {
  command,
  enter,
  EYE_ID,
  eyeSchema,
  lastSurface,
  matchSchema,
  PHOTOS_MOST,
  photoSchema,
  photosWaiting,
  sampleSchema,
  specimen,
} from '@/records';
import { act as perform, readPicture, selectDevice, storePicture, undone, type Store } from '@/state';
import { selectAnswered, selectEye } from '@/state/answering';
import { run, type PhotoAnswer } from '@/workers';
import { hexOfLab } from '@/core/colour';
import { choose, laidOut, openScreen } from '../__tests__/screen';
import { MeasuredPhoto } from './measured-photo';
import * as Pixels from './pixels';
import { FieldCardScreen } from './screens';
import { change } from '@/state/__tests__/change';

jest.mock('@/workers', () => ({ run: jest.fn(), prepare: jest.fn() }));
const worker = run as unknown as jest.Mock;

const INSECT = {
  n: 1,
  view: 'belly',
  surface: 'dry',
  confidence: 0.9,
  midlineMm: [
    [30, 20],
    [34, 21],
    [38, 22],
  ],
  bodyMm: 8.234,
  sdMm: 0.06,
  overallMm: 9.1,
  widthMm: 1.4,
  widthsMm: [0, 1.4, 0],
  turn: 0.2,
  heightFactor: 0.99,
  headLean: 1,
  what: 'body',
  warnings: [],
  regions: {
    'abdomen-belly': { lab: [66, -2, 43], spread: 1, second: null },
    'thorax-belly': { lab: [48, 2, 30], spread: 1, second: null },
  },
};
const answer = (insects: readonly object[] = [INSECT], refused: string | null = null): PhotoAnswer => ({
  measure: {
    refused: refused ? { code: refused, params: {} } : null,
    card: null,
    light: null,
    insects,
  } as unknown as PhotoAnswer['measure'],
  crop: refused ? null : { url: 'data:image/jpeg;base64,AAAA', leftMm: 28, topMm: 18, widthMm: 12, heightMm: 6 },
});
const sample = (store: Store) => store.getState().records.entities.sample.s!;

/** A match in a place of its own, as the frame of the app holds it. */
function Place() {
  const [seen, setSeen] = useState(true);
  const [there, setThere] = useState(true);
  return (
    <>
      <button onClick={() => setSeen(!seen)}>another place</button>
      <button onClick={() => setThere(false)}>for good</button>
      {there ? (
        <Activity mode={seen ? 'visible' : 'hidden'}>
          <MatchScreen id="m" step="natural" />
        </Activity>
      ) : null}
    </>
  );
}

/** A match whose only photograph waits to be measured. */
async function waiting(stage: StageId | null = null, shown = <MatchScreen id="m" step="natural" />) {
  const opened = await openScreen(shown, 'clean');
  await storePicture(opened.store.ports, 'photo_a', 'data:image/png;base64,AAAA');
  await act(
    async () =>
      void opened.store.dispatch(
        change('new-match', (draft) => {
          draft.sample.s = sampleSchema.cast({ when: '2033-05-24T04:50', kept: true, photos: ['photo_a'] });
          draft.match.m = matchSchema.cast({
            opened: '2033-05-24T04:50',
            sampleId: 's',
            answers: [{ id: 'a1', stage: stage ?? 'mayfly/dun' }],
            leading: 'a1',
          });
          draft.photo.photo_a = photoSchema.cast({
            sampleId: 's',
            type: 'image/png',
            bytes: 4,
            taken: '2033-05-24T04:50',
          });
        }),
      ),
  );
  await act(async () => undefined);
  return opened.store;
}
const measure = async () => act(async () => void fireEvent.click(screen.getByText('Measure it')));

beforeEach(() => worker.mockReset());

describe('a photograph that waits', () => {
  test('of another time than its match offers that time', async () => {
    const store = await waiting();
    expect(screen.queryByRole('button', { name: /^Taken / })).toBeNull();
    await act(
      async () =>
        void store.dispatch(change('photo', (draft) => void (draft.photo.photo_a!.taken = '2033-05-23T21:10'))),
    );
    fireEvent.click(screen.getByRole('button', { name: /^Taken 23 May.*: make it the time of this match$/ }));
    expect(sample(store).when).toBe('2033-05-23T21:10');
    expect(screen.queryByRole('button', { name: /^Taken / })).toBeNull();
  });
  test('is measured as it is seen, and what was found is shown before it is taken', async () => {
    const store = await waiting();
    fireEvent.click(screen.getByText('Back'));
    worker.mockResolvedValue(answer());
    await measure();
    expect(worker).toHaveBeenCalledWith(
      'photo',
      {
        file: expect.any(Blob),
        asked: { view: 'back', surface: 'dry', printedScale: 1, what: 'body', stretch: 0, winged: true },
      },
      expect.anything(),
    );
    expect(screen.getByText('width 1.4 mm · overall 9.1 mm')).toBeInTheDocument();
    expect(sample(store).specimens).toEqual([]);
    expect(selectDevice(store.getState()).view).toBe('back');
  });
  test('taken, it gives length, its own ± and colours, and leaves a small crop', async () => {
    const store = await waiting();
    worker.mockResolvedValue(answer());
    await measure();
    await act(async () => void fireEvent.click(screen.getByText('Take 8.2 mm')));
    expect(sample(store)).toMatchObject({
      method: 'photo',
      kept: false,
      colours: { 'abdomen-belly': expect.stringMatching(/^#/), 'thorax-belly': expect.stringMatching(/^#/) },
    });
    expect(sample(store).specimens).toMatchObject([{ body: { mm: 8.23 }, halfMm: expect.closeTo(0.1176, 4) }]);
    expect(await readPicture(store.ports, 'photo_a')).toBe('data:image/jpeg;base64,AAAA');
    expect(photosWaiting(store.getState().records.entities).count).toBe(0);
    const answered = selectAnswered(store.getState(), 'm', 'a1')!;
    expect(answered.status === 'answered' && answered.answer.natural.lengthSource).toBe('measured');
    await act(async () => void store.dispatch(undone()));
    expect(sample(store).specimens).toEqual([]);
  });
  test('several insects are taken together', async () => {
    const store = await waiting();
    worker.mockResolvedValue(answer([INSECT, { ...INSECT, n: 2, bodyMm: 7.1 }]));
    await measure();
    await act(async () => void fireEvent.click(screen.getByText('Take all 2')));
    expect(sample(store).specimens.map((item) => item.body.mm)).toEqual([8.23, 7.1]);
  });
  test('what cannot be told says why and what to do; the length can still be typed', async () => {
    await waiting();
    worker.mockResolvedValue(answer([], 'photo-no-card'));
    await measure();
    expect(screen.getByText(/^the field card was not found/)).toBeInTheDocument();
    expect(screen.getByText('Hold the whole card in view, or tap a known length by hand.')).toBeInTheDocument();
    expect(screen.getByText('Or type the length below.')).toBeInTheDocument();
    worker.mockResolvedValue(answer());
    await act(async () => void fireEvent.click(screen.getByText('Try again')));
    expect(screen.getByText('Take 8.2 mm')).toBeInTheDocument();
  });
  test('it can be stopped, and a picture that fails says so', async () => {
    await waiting();
    worker.mockImplementation(
      (_job: string, _input: object, { signal }: { signal: AbortSignal }) =>
        new Promise((_, reject) =>
          signal.addEventListener('abort', () => reject(new DOMException('cancelled', 'AbortError'))),
        ),
    );
    await measure();
    expect(screen.getByRole('progressbar')).toBeInTheDocument();
    await act(async () => void fireEvent.click(screen.getByText('Stop')));
    expect(screen.getByText('Measure it')).toBeInTheDocument();
    worker.mockRejectedValue(new Error('no picture'));
    await measure();
    expect(screen.getByText('This photograph could not be read.')).toBeInTheDocument();
  });
  test('in a place that is only out of sight it goes on; left for good it is stopped', async () => {
    await waiting(null, <Place />);
    const signals: AbortSignal[] = [];
    worker.mockImplementation(
      (_job: string, _input: object, { signal }: { signal: AbortSignal }) => new Promise(() => signals.push(signal)),
    );
    await measure();
    fireEvent.click(screen.getByText('another place'));
    await laidOut();
    expect(signals.map((signal) => signal.aborted)).toEqual([false]);
    fireEvent.click(screen.getByText('another place'));
    expect(screen.getByRole('progressbar')).toBeInTheDocument();
    fireEvent.click(screen.getByText('for good'));
    await laidOut();
    expect(signals.map((signal) => signal.aborted)).toEqual([true]);
  });
  test('let go, it is gone, and undo brings it back', async () => {
    const store = await waiting();
    expect(screen.getByText(`1 of ${PHOTOS_MOST} photographs wait to be measured`)).toBeInTheDocument();
    fireEvent.click(screen.getByLabelText('Let photograph 1 go'));
    expect([sample(store).photos, Object.keys(store.getState().records.entities.photo)]).toEqual([[], []]);
    await act(async () => void store.dispatch(undone()));
    expect(sample(store).photos).toEqual(['photo_a']);
  });
  test('kept for the bench is a mark of its own', async () => {
    const store = await waiting();
    fireEvent.click(screen.getByText('Kept for the bench'));
    expect(sample(store).kept).toBe(false);
    fireEvent.click(screen.getByText('Keep for the bench'));
    expect(sample(store).kept).toBe(true);
  });
});

test('a ± says on demand what it is made of, the largest part first, what hardly counts left out; moved by hand it does not', async () => {
  await waiting();
  worker.mockResolvedValue(
    answer([
      {
        ...INSECT,
        error: { ends: 0.03, blur: 0.001, posture: 0.05, card: 0.01, height: 0.02, root: 0.08, wing: 0.07, stretch: 0 },
      },
    ]),
  );
  await measure();
  expect(screen.queryByText(/where the body ends/)).toBeNull();
  fireEvent.click(screen.getByText('What is the ± made of?'));
  expect(screen.getAllByText(/^± /).map((line) => line.textContent)).toEqual([
    '± 0.16 mm: where the abdomen leaves off at its tails',
    '± 0.14 mm: a wing over the end, or taken for the body',
    '± 0.10 mm: the line along a bent body',
    '± 0.06 mm: where the body ends',
    '± 0.04 mm: how high the body lies above the card',
    '± 0.02 mm: the card, how flat and true it lies',
  ]);
  fireEvent.click(screen.getByLabelText('Move what was found on insect 1'));
  await laidOut();
  await act(
    async () =>
      void fireEvent.keyDown(screen.getByLabelText('End of the abdomen'), { key: 'ArrowRight', shiftKey: true }),
  );
  fireEvent.click(screen.getByText('Done'));
  expect(screen.queryByText('What is the ± made of?')).toBeNull();
});

describe('what was found can be moved', () => {
  const key = async (name: string, arrow: string) =>
    act(async () => void fireEvent.keyDown(screen.getByLabelText(name), { key: arrow, shiftKey: true }));
  async function moving() {
    const store = await waiting();
    worker.mockResolvedValue(answer());
    await measure();
    fireEvent.click(screen.getByLabelText('Move what was found on insect 1'));
    await laidOut();
    return store;
  }
  test('an end drawn out by keys makes it longer at once; what was found stays beside, and both are kept', async () => {
    const store = await moving();
    for (let press = 0; press < 4; press++) await key('End of the abdomen', 'ArrowRight');
    expect(screen.getByText('found 8.23 mm')).toBeInTheDocument();
    fireEvent.click(screen.getByText('Done'));
    await act(async () => void fireEvent.click(screen.getByText(/^Take 9\./)));
    const { hand, bodyMm, specimenId } = store.getState().records.entities.photo.photo_a!.overlay!.insects[0]!;
    const [specimen] = sample(store).specimens;
    expect([bodyMm, specimenId]).toEqual([8.234, specimen!.id]);
    expect(hand!.bodyMm).toBeGreaterThan(9);
    expect(specimen!.body.mm).toBeCloseTo(hand!.bodyMm, 2);
    expect(specimen!.halfMm).toBeCloseTo(1.96 * hand!.sdMm, 6);
    expect(hand!.sdMm).toBeGreaterThan(0.06);
  });
  test('taken back, it is as it was found', async () => {
    await moving();
    await key('Midline, middle', 'ArrowDown');
    fireEvent.click(screen.getByText('As it was found'));
    expect(screen.queryByText('As it was found')).toBeNull();
    fireEvent.click(screen.getByText('Done'));
    expect(screen.getByText('Take 8.2 mm')).toBeInTheDocument();
  });
  test('turned round the head is the other end', async () => {
    const store = await moving();
    await act(async () => void fireEvent.click(screen.getByText('Turn head and tail round')));
    fireEvent.click(screen.getByText('Done'));
    await act(async () => void fireEvent.click(screen.getByText('Take 8.2 mm')));
    const { hand, midlineMm } = store.getState().records.entities.photo.photo_a!.overlay!.insects[0]!;
    expect(hand!.nodes[0]).toEqual(midlineMm[2]);
  });
  test('the ends of its regions move along it by their own rings', async () => {
    const store = await moving();
    fireEvent.click(screen.getByText('Regions'));
    for (let press = 0; press < 4; press++) await key('Abdomen begins', 'ArrowRight');
    fireEvent.click(screen.getByText('Done'));
    await act(async () => void fireEvent.click(screen.getByText(/^Take 8/)));
    const { hand } = store.getState().records.entities.photo.photo_a!.overlay!.insects[0]!;
    expect(hand!.cuts[2]).toBeGreaterThan(0.45);
    expect(hand!.cuts.filter((_, index) => index !== 2)).toEqual([0.1, 0.34, 0.94]);
  });
  test('after it was taken too: its individual follows, and undo brings the found one back', async () => {
    const store = await waiting();
    worker.mockResolvedValue(answer());
    await measure();
    await act(async () => void fireEvent.click(screen.getByText('Take 8.2 mm')));
    await act(async () => undefined);
    fireEvent.click(screen.getByLabelText('Move what was found on insect 1'));
    await laidOut();
    await key('End of the abdomen', 'ArrowRight');
    expect(sample(store).specimens[0]!.body.mm).toBeGreaterThan(8.35);
    await act(async () => void store.dispatch(undone()));
    expect(sample(store).specimens[0]!.body.mm).toBe(8.23);
  });
});

describe('what is told beforehand and afterwards', () => {
  test('a soft larva is asked how it lies, and a stretched one is measured with a wider ±', async () => {
    await waiting('midge/larva');
    fireEvent.click(screen.getByText('Stretched'));
    worker.mockResolvedValue(answer());
    await measure();
    expect(worker.mock.calls[0]![1].asked).toMatchObject({ stretch: 0.07, what: 'body', winged: false });
  });
  test('a case is measured as a case and becomes the case of the sample', async () => {
    const store = await waiting('caddis/cased-larva');
    fireEvent.click(screen.getByText('The case'));
    worker.mockResolvedValue(
      answer([{ ...INSECT, what: 'case', regions: { case: { lab: [50, 2, 12], spread: 1, second: null } } }]),
    );
    await measure();
    expect(worker.mock.calls[0]![1].asked).toMatchObject({ what: 'case' });
    await act(async () => void fireEvent.click(screen.getByText('Take 8.2 mm')));
    expect(sample(store)).toMatchObject({
      case: { mm: 8.23 },
      specimens: [],
      colours: { case: expect.stringMatching(/^#/) },
    });
  });
  test('of two tones a tap says which one counts', async () => {
    const store = await waiting();
    const [dark, pale] = [
      [25, 6, 10],
      [62, 4, 32],
    ];
    worker.mockResolvedValue(
      answer([
        { ...INSECT, regions: { 'abdomen-belly': { lab: dark, spread: 2, second: { lab: pale, share: 0.4 } } } },
      ]),
    );
    await measure();
    fireEvent.click(screen.getByLabelText('belly: count the second tone instead'));
    expect(screen.getByText('60 % is this tone')).toBeInTheDocument();
    await act(async () => void fireEvent.click(screen.getByText('Take 8.2 mm')));
    expect(sample(store).colours['abdomen-belly']).toBe(hexOfLab(pale as [number, number, number]));
  });
  test('a guess is compared once the numbers are there, and three make an eye', async () => {
    const store = await waiting();
    await act(
      async () =>
        void store.dispatch(
          perform(
            command<object>('guessed', (draft, _, around) => {
              draft.eye[EYE_ID] = eyeSchema.cast({});
              for (const [index, share] of [1.1, 1.12].entries())
                enter(
                  draft,
                  {
                    kind: 'eye',
                    owner: EYE_ID,
                    id: `g${index}`,
                    event: { guessMm: 8 * share, trueMm: 8, at: `2033-05-2${index}T04:50` },
                  },
                  around,
                );
            }),
            {},
          ),
        ),
    );
    expect(selectEye(store.getState())).toBeNull();
    fireEvent.click(screen.getByText('Guess first'));
    const field = screen.getByLabelText('How long is it, by eye?');
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value: '9' } });
    worker.mockResolvedValue(answer());
    await measure();
    expect(screen.getByText('You said 9.0 mm: 9 % long.')).toBeInTheDocument();
    await act(async () => void fireEvent.click(screen.getByText('Take 8.2 mm')));
    const eye = selectEye(store.getState())!;
    expect([eye.n, eye.bias]).toEqual([3, expect.closeTo(0.104, 2)]);
    // A length by eye now has the ± of this eye.
    await act(
      async () =>
        void store.dispatch(
          change('method', (draft) => {
            draft.sample.s!.method = 'eye';
            draft.sample.s!.specimens = [specimen('s1', 10)];
          }),
        ),
    );
    const byEye = selectAnswered(store.getState(), 'm', 'a1')!;
    expect(byEye.status === 'answered' && byEye.answer.natural.length.seMm).toBeGreaterThan(
      (eye.halfShare * 10) / 1.96,
    );
  });
  test('an end that is not plain is said beside its insect, whichever it is, and asked for first; a hand that moves it has said', async () => {
    await waiting();
    const error = { ends: 0.03, blur: 0, posture: 0, card: 0, height: 0, stretch: 0 };
    worker.mockResolvedValue(
      answer([
        { ...INSECT, error: { ...error, root: 0 } },
        { ...INSECT, n: 2, error: { ...error, root: 0.5 } },
      ]),
    );
    await measure();
    expect(screen.getAllByText(/^where the body ends is not plain/)).toHaveLength(1);
    expect(screen.getByLabelText('Move what was found on insect 1')).toBeInTheDocument();
    fireEvent.click(screen.getByLabelText('Show where insect 2 ends'));
    await laidOut();
    // Only its two ends are there to be moved, and one tap sets where it ends.
    expect(screen.getByText(/^Tap where the abdomen ends/)).toBeInTheDocument();
    expect(screen.queryByLabelText('Midline, middle')).toBeNull();
    const frame = screen.getByLabelText('Insect 2 with what was found, to be moved').parentElement!.parentElement!;
    frame.setPointerCapture = () => undefined;
    const ring = screen.getByLabelText('End of the abdomen');
    const [x, y] = [parseFloat(ring.style.left) + 24, parseFloat(ring.style.top) + 24];
    for (const kind of ['pointerDown', 'pointerUp'] as const)
      await act(async () => void fireEvent[kind](frame, { clientX: x - 40, clientY: y, pointerId: 1 }));
    expect(screen.getByText('found 8.23 mm')).toBeInTheDocument();
    fireEvent.click(screen.getByText('Done'));
    expect(screen.getByText(/found 8.23 mm/)).toBeInTheDocument();
    expect(screen.queryByText(/^where the body ends is not plain/)).toBeNull();
    expect(screen.getByLabelText('Move what was found on insect 2')).toBeInTheDocument();
  });
  test('a contested colour is said until a hand has shown the body, a veiled one until its region was moved', async () => {
    await waiting();
    const why = (code: string, region: string) => ({
      code,
      params: { regions: { list: [{ kind: 'regions', id: region }] } },
      steps: null,
      weight: null,
      evidence: null,
    });
    const { 'abdomen-belly': _, ...regions } = INSECT.regions;
    worker.mockResolvedValue(
      answer([
        {
          ...INSECT,
          regions,
          veiled: ['abdomen-belly'],
          warnings: [why('photo-contested', 'thorax-belly'), why('photo-veiled', 'abdomen-belly')],
        },
      ]),
    );
    await measure();
    expect(screen.getByText(/^thorax, belly: no colour is told until/)).toBeInTheDocument();
    expect(screen.getByText(/^belly veiled by a wing/)).toBeInTheDocument();
    fireEvent.click(screen.getByLabelText('Move what was found on insect 1'));
    await laidOut();
    await act(
      async () =>
        void fireEvent.keyDown(screen.getByLabelText('End of the abdomen'), { key: 'ArrowRight', shiftKey: true }),
    );
    fireEvent.click(screen.getByText('Done'));
    expect(screen.queryByText(/no colour is told until/)).toBeNull();
    expect(screen.getByText(/^belly veiled by a wing/)).toBeInTheDocument();
  });
  test('what is not sure is said beside the number', async () => {
    await waiting();
    worker.mockResolvedValue(
      answer([
        { ...INSECT, warnings: [{ code: 'photo-head-unsure', params: {}, steps: null, weight: null, evidence: null }] },
      ]),
    );
    await measure();
    expect(screen.getByText(/^head and tail look alike here/)).toBeInTheDocument();
  });
});

describe('by hand', () => {
  /** A photograph of 400 by 300 in which all is of one colour. */
  const PIXELS = {
    width: 400,
    height: 300,
    around: () => ({
      width: 6,
      height: 6,
      rgba: Uint8ClampedArray.from({ length: 144 }, (_, at) => [120, 100, 60, 255][at % 4]!),
    }),
    cut: async () => 'data:image/jpeg;base64,CCCC',
  };
  const tap = async (x: number, y: number) => {
    const picture = screen.getByLabelText('The photograph, to be tapped').parentElement!.parentElement!;
    picture.setPointerCapture = () => undefined;
    await act(async () => void fireEvent.pointerDown(picture, { clientX: x, clientY: y, pointerId: 1 }));
    await act(async () => void fireEvent.pointerUp(picture, { clientX: x, clientY: y, pointerId: 1 }));
  };
  async function opened() {
    jest.spyOn(Pixels, 'usePixels').mockReturnValue(PIXELS);
    const store = await waiting();
    await act(async () => void fireEvent.click(screen.getByText('By hand')));
    await laidOut();
    return store;
  }
  afterEach(() => jest.restoreAllMocks());
  test('two taps on a known length, taps along the body, a colour: taken like any other', async () => {
    const store = await opened();
    const known = screen.getByLabelText('Known length');
    fireEvent.focus(known);
    fireEvent.change(known, { target: { value: '20' } });
    expect(screen.getByText(/^Tap both ends of it: 1 of 2/)).toBeInTheDocument();
    await tap(20, 200);
    await tap(220, 200);
    fireEvent.click(screen.getByText('Now the body'));
    await tap(60, 60);
    await tap(160, 60);
    fireEvent.click(screen.getByText('Now its colours'));
    choose('What to tap', 'belly');
    await tap(100, 60);
    expect(screen.getByText(/^As the camera saw it/)).toBeInTheDocument();
    await act(async () => void fireEvent.click(screen.getByText('Use 10.0 mm')));
    await act(async () => void fireEvent.click(screen.getByText('Take 10.0 mm')));
    expect(sample(store).specimens[0]!.body.mm).toBeCloseTo(10, 1);
    expect(sample(store).specimens[0]!.halfMm).toBeGreaterThan(0.3);
    expect(sample(store).colours['abdomen-belly']).toBe('#78643c');
    expect(store.getState().records.entities.photo.photo_a!.overlay).toMatchObject({ by: 'hand' });
    expect(await readPicture(store.ports, 'photo_a')).toBe('data:image/jpeg;base64,CCCC');
  });
  test('a known length that cannot be read says so beside it, and a tap is taken back', async () => {
    await opened();
    const known = screen.getByLabelText('Known length');
    fireEvent.focus(known);
    fireEvent.change(known, { target: { value: 'long' } });
    expect(known).toHaveAttribute('aria-invalid', 'true');
    await tap(20, 200);
    fireEvent.click(screen.getByText('Take the last tap back'));
    expect(screen.getByText(/1 of 2/)).toBeInTheDocument();
    fireEvent.click(screen.getByText('A rectangle'));
    expect(screen.getByText(/1 of 4/)).toBeInTheDocument();
  });
});

test('dry or wet is asked once: the next insect photographed begins as the last one was', async () => {
  const store = await waiting();
  expect(lastSurface(store.getState().records.entities)).toBe('dry');
  fireEvent.click(screen.getAllByText('Wet')[0]!);
  expect(lastSurface(store.getState().records.entities)).toBe('wet');
});

test('a crop that is not on this device says so', async () => {
  const store = await waiting();
  worker.mockResolvedValue(answer());
  await measure();
  await act(async () => void fireEvent.click(screen.getByText('Take 8.2 mm')));
  await store.ports.storage.removeMany(['blob/photo_a']);
  await openScreen(
    <MeasuredPhoto
      photoId="photo_a"
      sampleId="s"
      overlay={store.getState().records.entities.photo.photo_a!.overlay!}
    />,
    'clean',
  );
  expect(screen.getByText('This photograph is not on this device.')).toBeInTheDocument();
});

describe('the field card', () => {
  test('its check line is kept as a scale for every later photograph; one that cannot be is refused beside it', async () => {
    const { store } = await openScreen(<FieldCardScreen />);
    const field = screen.getByLabelText('The printed 50 mm line is really');
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value: '48.5' } });
    expect(selectDevice(store.getState()).printedScale).toBeCloseTo(0.97, 6);
    fireEvent.change(field, { target: { value: '20' } });
    expect(field).toHaveAttribute('aria-invalid', 'true');
    expect(selectDevice(store.getState()).printedScale).toBeCloseTo(0.97, 6);
    fireEvent.change(field, { target: { value: '' } });
    expect(selectDevice(store.getState()).printedScale).toBe(1);
  });
  test('the PDF is made in a worker of the size and paper chosen', async () => {
    await openScreen(<FieldCardScreen />);
    worker.mockRejectedValue(new Error('no'));
    fireEvent.click(screen.getByText('Large, 150 × 100 mm'));
    fireEvent.click(screen.getByText('Letter'));
    await act(async () => void fireEvent.click(screen.getByText('Save PDF to print')));
    expect(worker).toHaveBeenCalledWith('field-card-pdf', {
      size: 'large',
      page: 'letter',
      words: { title: 'Aubade field card', print: 'print at 100 %', check: '50 mm' },
    });
    expect(screen.getByText('The PDF could not be made. Save the SVG and print that.')).toBeInTheDocument();
    expect(screen.getByRole('img', { name: 'The field card, 150 by 100 mm' })).toBeInTheDocument();
  });
});
