import { screen } from '@testing-library/react';
import { demoEntities } from '@/records/demo-valley';
import { openScreen } from '../__tests__/screen';
import { LISTED } from './trial';
import { listRow } from './trial-rows';

jest.mock('@/features/files', () => jest.requireActual('../__tests__/files'));

const VALLEY = demoEntities();
const HERE = LISTED.filter((kind) => Object.keys(VALLEY[kind]).length > 0);

test('the valley has something of four lists', () => expect(HERE).toEqual(['match', 'packet', 'fly', 'box']));

test.each(HERE)('a %s is drawn as it stands in its list', async (kind) => {
  const [id] = Object.keys(VALLEY[kind]) as [string];
  const ListRow = await listRow();
  const { container } = await openScreen(<ListRow kind={kind} id={id} />);
  expect(container.textContent).not.toBe('');
  expect(screen.queryByRole('alert')).toBeNull();
});

test.each(['packet', 'fly', 'box', 'group'] as const)(
  'a %s that its row cannot draw is told by its boundary',
  async (kind) => {
    jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const ListRow = await listRow();
    await openScreen(<ListRow kind={kind} id="gone" />);
    expect(screen.getByRole('alert')).toHaveTextContent(/gone/);
  },
);
