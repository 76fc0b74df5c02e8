const asked = jest.fn();
jest.mock('../node_modules/expo/src/async-require/asyncRequireModule', () =>
  Object.assign((...of: unknown[]) => asked(...of), { prefetch: 'prefetch' }),
);
const ask = jest.requireActual<
  ((id: number, paths?: object | null, name?: string) => void) & {
    prefetch: string;
  }
>('./web-async-require');

const page = { querySelector: () => ({ getAttribute: () => '/shared.js' }) };
beforeAll(() => void Object.assign(globalThis, { document: page }));
afterAll(() => void Reflect.deleteProperty(globalThis, 'document'));

test('a part without an address of its own is asked for by what the parts share, one with an address by that', () => {
  ask(7, {}, 'a');
  ask(8, null);
  ask(9, { 9: '/nine.js' });
  expect(asked.mock.calls).toEqual([
    [7, { 7: '/shared.js' }, 'a'],
    [8, { 8: '/shared.js' }, undefined],
    [9, { 9: '/nine.js' }, undefined],
  ]);
});

test('what else the bundler asks of it stays', () => expect(ask.prefetch).toBe('prefetch'));
