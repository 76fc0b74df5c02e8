import { act, fireEvent, screen } from '@testing-library/react';
import { MatchScreen } from '@/features/match-frame';
import { change, matchSchema, photoSchema, PHOTOS_MOST, photosWaiting, readPicture, sampleSchema, selectAnswered, selectDevice, storePicture, undone, type Store } from '@/state';
import { run, type PhotoAnswer } from '@/workers';
import { openScreen } from '../__tests__/screen';
import { FieldCardScreen } from './index';

jest.mock('@/workers', () => ({ run: jest.fn() }));
const worker = run as unknown as jest.Mock;

const INSECT = { n: 1, view: 'belly', surface: 'dry', confidence: 0.9, midlineMm: [[30, 20], [34, 21], [38, 22]], bodyMm: 8.234, sdMm: 0.06, overallMm: 9.1, widthMm: 1.4, widthsMm: [0, 1.4, 0], turn: 0.2, heightFactor: 0.99, headLean: 1, warnings: [], regions: { 'abdomen-belly': { lab: [66, -2, 43], spread: 1, second: null }, 'thorax-belly': { lab: [48, 2, 30], spread: 1, second: null } } };
const answer = (insects: readonly object[] = [INSECT], refused: string | null = null): PhotoAnswer => ({
  measure: { refused: refused ? { code: refused, params: {} } : null, card: null, light: null, insects } as unknown as PhotoAnswer['measure'],
  crop: refused ? null : { url: 'data:image/jpeg;base64,AAAA', leftMm: 28, topMm: 18, widthMm: 12, heightMm: 6 },
});
const sample = (store: Store) => store.getState().records.entities.sample.s!;

/** A match whose only photograph waits to be measured. */
async function waiting() {
  const opened = await openScreen(<MatchScreen id="m" step="natural" />, 'clean');
  await storePicture(opened.store.ports, 'photo_a', 'data:image/png;base64,AAAA');
  await act(async () => void opened.store.dispatch(change('new-match', (draft) => {
    draft.sample.s = sampleSchema.cast({ when: '2033-05-24T04:50', kept: true, photos: ['photo_a'] });
    draft.match.m = matchSchema.cast({ opened: '2033-05-24T04:50', sampleId: 's', answers: [{ id: 'a1', stage: 'mayfly/dun' }], leading: 'a1' });
    draft.photo.photo_a = photoSchema.cast({ sampleId: 's', type: 'image/png', bytes: 4, taken: '2033-05-24T04:50' });
  })));
  await act(async () => undefined);
  return opened.store;
}
const measure = async () => act(async () => void fireEvent.click(screen.getByText('Measure it')));

beforeEach(() => worker.mockReset());

describe('a photograph that waits', () => {
  test('is measured as it is seen, and what was found is shown before it is taken', async () => {
    const store = await waiting();
    fireEvent.click(screen.getByText('Back'));
    worker.mockResolvedValue(answer());
    await measure();
    expect(worker).toHaveBeenCalledWith('photo', { file: expect.any(Blob), asked: { view: 'back', surface: 'dry', printedScale: 1 } }, expect.anything());
    expect(screen.getByText('width 1.4 mm, overall 9.1 mm')).toBeInTheDocument();
    expect(sample(store).specimens).toEqual([]);
    expect(selectDevice(store.getState()).view).toBe('back');
  });
  test('taken, it gives length, its own ± and colours, and leaves a small crop', async () => {
    const store = await waiting();
    worker.mockResolvedValue(answer());
    await measure();
    await act(async () => void fireEvent.click(screen.getByText('Take 8.2 mm')));
    expect(sample(store)).toMatchObject({ method: 'photo', kept: false, colours: { 'abdomen-belly': expect.stringMatching(/^#/), 'thorax-belly': expect.stringMatching(/^#/) } });
    expect(sample(store).specimens).toMatchObject([{ body: { mm: 8.23 }, halfMm: expect.closeTo(0.1176, 4) }]);
    expect(await readPicture(store.ports, 'photo_a')).toBe('data:image/jpeg;base64,AAAA');
    expect(photosWaiting(store.getState()).count).toBe(0);
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
    worker.mockImplementation((_job: string, _input: object, { signal }: { signal: AbortSignal }) => new Promise((_, reject) => signal.addEventListener('abort', () => reject(new DOMException('cancelled', 'AbortError')))));
    await measure();
    expect(screen.getByRole('progressbar')).toBeInTheDocument();
    await act(async () => void fireEvent.click(screen.getByText('Stop')));
    expect(screen.getByText('Measure it')).toBeInTheDocument();
    worker.mockRejectedValue(new Error('no picture'));
    await measure();
    expect(screen.getByText('This photograph could not be read.')).toBeInTheDocument();
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
    expect(worker).toHaveBeenCalledWith('card-pdf', { size: 'large', page: 'letter', words: { title: 'Aubade field card', print: 'print at 100 %', check: '50 mm' } });
    expect(screen.getByText('The PDF could not be made. Save the SVG and print that.')).toBeInTheDocument();
    expect(screen.getByRole('img', { name: 'The field card, 150 by 100 mm' })).toBeInTheDocument();
  });
});
