import { fireEvent, screen, within } from '@testing-library/react';
import { selectCatalogue } from '@/state';
import { openScreen } from '../__tests__/screen';
import { HooksScreen } from './hooks-screen';
import { ModelScreen } from './model-screen';

test('one bend at a time, every model a link with its sizes and lengths', async () => {
  const { store } = await openScreen(<HooksScreen />);
  const { hooks } = selectCatalogue(store.getState());
  const models = (bend: string) => new Set(hooks.filter((hook) => hook.bend === bend).map((hook) => `${hook.maker}:${hook.model}`)).size;
  expect(screen.getAllByRole('link')).toHaveLength(models('round'));
  fireEvent.click(screen.getByText('Jig'));
  expect(screen.getAllByRole('link')).toHaveLength(models('jig'));
  expect(screen.getByLabelText(`${models('jig')} hook models on one length axis.`)).toBeInTheDocument();
  expect(screen.getAllByText(/^sizes \S+ to \S+ · \d+\.\d mm to \d+\.\d mm along the shank$/)).toHaveLength(models('jig'));
});

test('a model shows every size with its reading and dimensions, largest at its place', async () => {
  const { store } = await openScreen(<ModelScreen maker="osmere" model="lark" />);
  const hooks = selectCatalogue(store.getState()).hooks.filter((hook) => hook.maker === 'osmere' && hook.model === 'lark');
  const table = screen.getByRole('table', { name: 'Sizes of Osmere Lark' });
  expect(within(table).getAllByRole('columnheader').map((head) => head.textContent)).toEqual(['size', 'reads', 'shank', 'gape', 'throat', 'wire', 'eye', 'about mass']);
  expect(within(table).getAllByRole('row')).toHaveLength(1 + hooks.length);
  const row = within(table).getAllByRole('row').find((item) => item.textContent!.startsWith('14'))!;
  expect(row).toHaveTextContent(/^1413\.07\.6/);
  expect(screen.getByText(/Runs long/)).toBeInTheDocument();
});

test('a number says where it comes from when it is asked', async () => {
  await openScreen(<ModelScreen maker="osmere" model="lark" />);
  fireEvent.click(screen.getByLabelText(/^shank, 14: 7\.6 mm/));
  expect(screen.getByText(/^Measured, ± 0\.\d+ mm$/i)).toBeInTheDocument();
});

test('the maker-less range is about in every column, and its drawing names the sizes it shows', async () => {
  await openScreen(<ModelScreen maker="reference" model="standard-dry" />);
  const heads = screen.getAllByRole('columnheader').map((head) => head.textContent);
  expect(heads.slice(2)).toEqual(['about shank', 'about gape', 'about throat', 'about wire', 'about eye', 'about mass']);
  expect(screen.getByLabelText(/^Reference Standard dry: sizes 1\/0, .*26, at one scale$/)).toBeInTheDocument();
});

test('a model that is not there offers the list', async () => {
  await openScreen(<ModelScreen maker="osmere" model="none" />);
  expect(screen.getByRole('link', { name: 'See the list' })).toHaveAttribute('href', '/drawer/hooks');
});
