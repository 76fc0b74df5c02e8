import { fireEvent, render, screen } from '@testing-library/react';
import Minus from 'lucide-react-native/icons/minus';
import { Say } from './text';
import { BarButton, Explained, Fold, IconButton, OneStop, Row, SortHead, TabLink, Tile, WordLink } from '.';

const press = (key: string) => fireEvent.keyDown(document.activeElement!, { key });

test('a row leads somewhere as a link, and does something as a button', () => {
  const onPress = jest.fn();
  render(
    <>
      <Row to="/box" spoken="Boxes, two">
        <Say>Boxes</Say>
      </Row>
      <Row onPress={onPress} open={false}>
        <Say>More</Say>
      </Row>
    </>,
  );
  expect(screen.getByRole('link', { name: 'Boxes, two' })).toHaveAttribute('href', '/box');
  fireEvent.click(screen.getByRole('button', { name: 'More', expanded: false }));
  expect(onPress).toHaveBeenCalledTimes(1);
});

test('a row that is picked is a box to tick, and the space bar ticks it', () => {
  const onPress = jest.fn();
  render(
    <Row ticked={false} onPress={onPress} spoken="Pale riffle dun">
      <Say>Pale riffle dun</Say>
    </Row>,
  );
  const row = screen.getByRole('checkbox', { name: 'Pale riffle dun', checked: false });
  row.focus();
  press(' ');
  press('x');
  expect(onPress).toHaveBeenCalledTimes(1);
});

test('a tile that stays on says so; one of a group of tiles is a stop of the Tab key, arrows go along and down', () => {
  const onPress = jest.fn();
  const slots = ['a1', 'a2', 'b1', 'b2'];
  render(
    <OneStop role="toolbar" label="Compartments" across={2} reached="a1">
      {slots.map((slot) => (
        <Tile key={slot} stop={slot} on={slot === 'a2'} spoken={slot} onPress={() => onPress(slot)}>
          <Say>{slot}</Say>
        </Tile>
      ))}
    </OneStop>,
  );
  expect(screen.getByRole('toolbar', { name: 'Compartments' })).toBeInTheDocument();
  const tiles = screen.getAllByRole('button');
  expect(tiles.map((tile) => tile.getAttribute('tabindex'))).toEqual(['0', '-1', '-1', '-1']);
  expect(tiles.map((tile) => tile.getAttribute('aria-pressed'))).toEqual(['false', 'true', 'false', 'false']);
  tiles[0]!.focus();
  const went = ['ArrowRight', 'ArrowDown', 'ArrowLeft', 'ArrowUp', 'End'].map((key) => {
    press(key);
    return document.activeElement!.getAttribute('aria-label');
  });
  expect(went).toEqual(['a2', 'b2', 'b1', 'a1', 'b2']);
  expect(onPress).not.toHaveBeenCalled();
  fireEvent.click(tiles[3]!);
  expect(onPress.mock.calls).toEqual([['b2']]);
});

test('the space bar is left to a button of a toolbar and taken for a radio: nothing is done twice', () => {
  render(
    <OneStop role="toolbar" label="Compartments" reached="a1">
      <Tile stop="a1" spoken="a1" onPress={() => {}}>
        <Say>a1</Say>
      </Tile>
    </OneStop>,
  );
  screen.getByRole('button').focus();
  const event = new KeyboardEvent('keydown', { key: ' ', bubbles: true, cancelable: true });
  const clicked = jest.fn();
  screen.getByRole('button').addEventListener('click', clicked);
  fireEvent(screen.getByRole('button').parentElement!, event);
  expect(clicked).not.toHaveBeenCalled();
});

test('a drawing alone has its name; where nothing can be done it does nothing', () => {
  const onPress = jest.fn();
  const { rerender } = render(<IconButton icon={Minus} label="Fewer" onPress={onPress} />);
  fireEvent.click(screen.getByRole('button', { name: 'Fewer' }));
  rerender(<IconButton icon={Minus} label="Fewer" disabled onPress={onPress} />);
  fireEvent.click(screen.getByRole('button', { name: 'Fewer' }));
  expect(onPress).toHaveBeenCalledTimes(1);
});

test('ways to other pages are links; the part that is shown says so', () => {
  render(
    <>
      <WordLink to="/drawer/convert" spoken="Nearest to Lark 14">
        Nearest
      </WordLink>
      <TabLink to="/drawer/hooks" on>
        Hooks
      </TabLink>
      <TabLink to="/drawer/packets" on={false}>
        Packets
      </TabLink>
      <BarButton to="/matches/m/hook" spoken="Next: Hook">
        <Say>Hook</Say>
      </BarButton>
    </>,
  );
  expect(screen.getByRole('link', { name: 'Nearest to Lark 14' })).toHaveAttribute('href', '/drawer/convert');
  expect(screen.getByRole('link', { name: 'Next: Hook' })).toHaveAttribute('href', '/matches/m/hook');
  expect(screen.getByRole('link', { current: 'page' })).toHaveTextContent('Hooks');
});

test('a word that explains itself and a fold with a face of its own say whether they are open', () => {
  const onToggle = jest.fn();
  render(
    <>
      <Explained word spoken="Throat. What is that?" open={false} onToggle={onToggle}>
        <Say>Throat</Say>
      </Explained>
      <Fold title="Colour of belly" line="dark brown" face={<Say>belly</Say>}>
        <Say>swatches</Say>
      </Fold>
    </>,
  );
  fireEvent.click(screen.getByRole('button', { name: 'Throat. What is that?', expanded: false }));
  expect(onToggle).toHaveBeenCalledTimes(1);
  const fold = screen.getByRole('button', { name: 'Colour of belly: dark brown', expanded: false });
  expect(fold).toHaveTextContent(/^belly$/);
  fireEvent.click(fold);
  expect(screen.getByText('swatches')).toBeInTheDocument();
});

test('a heading that sorts says which way', () => {
  const onSort = jest.fn();
  render(
    <SortHead spoken="Sort by gape" sorted="desc" number onSort={onSort}>
      gape
    </SortHead>,
  );
  const head = screen.getByRole('button', { name: 'Sort by gape' });
  expect(head).toHaveTextContent('gape ↓');
  fireEvent.click(head);
  expect(onSort).toHaveBeenCalledTimes(1);
});
