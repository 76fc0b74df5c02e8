import { fireEvent, render, screen } from '@testing-library/react';
import { Choose } from './choose';
import { More } from './more';
import { Say } from './text';
import { Tick } from './tick';

const named = (labels: readonly string[]) => labels.map((label) => ({ id: label.toLowerCase(), label }));
const FEW = named(['Any', 'Round', 'Wide', 'Jig']);
const MANY = named(['Bare shank', 'Upright dun', 'Extended-body dun', 'Spent spinner', 'Sunk spinner', 'Low emerger']);

test('what stands on two lines of a phone is chips, what takes three is a list, and either gives what is chosen', () => {
  const onChange = jest.fn();
  const { rerender } = render(<Choose label="Bend" choices={FEW} value="any" onChange={onChange} />);
  expect(screen.getByRole('radio', { name: 'Any' })).toBeChecked();
  fireEvent.click(screen.getByRole('radio', { name: 'Jig' }));
  rerender(<Choose label="Bend" choices={MANY} value="bare shank" onChange={onChange} />);
  expect(screen.queryByRole('radio')).toBeNull();
  expect(screen.getByRole('combobox', { name: 'Bend' })).toHaveDisplayValue('Bare shank');
  fireEvent.change(screen.getByRole('combobox'), { target: { value: 'low emerger' } });
  expect(onChange.mock.calls).toEqual([['jig'], ['low emerger']]);
});

test('two lines are not yet a wall: one chip more is', () => {
  const lines = (count: number) => named(Array.from({ length: count }, (_, at) => `Twelve chars ${at}`));
  const { rerender } = render(<Choose label="Of" choices={lines(4)} value={null} onChange={jest.fn()} />);
  expect(screen.getAllByRole('radio')).toHaveLength(4);
  rerender(<Choose label="Of" choices={lines(5)} value={null} onChange={jest.fn()} />);
  expect(screen.queryByRole('radio')).toBeNull();
});

test('with nothing chosen a list says so, and for a wet hand there is never a list', () => {
  const { rerender } = render(<Choose label="Style" choices={MANY} value={null} onChange={jest.fn()} />);
  expect(screen.getByRole('combobox')).toHaveDisplayValue('–');
  rerender(<Choose tall label="Style" choices={MANY} value={null} onChange={jest.fn()} />);
  expect(screen.getAllByRole('radio')).toHaveLength(MANY.length);
});

test('a box is ticked and unticked', () => {
  const onChange = jest.fn();
  const { rerender } = render(<Tick label="Bodkin" on={false} onChange={onChange} />);
  fireEvent.click(screen.getByRole('checkbox', { name: 'Bodkin' }));
  rerender(<Tick label="Bodkin" on onChange={onChange} />);
  expect(screen.getByRole('checkbox')).toBeChecked();
  fireEvent.click(screen.getByRole('checkbox'));
  expect(onChange.mock.calls).toEqual([[true], [false]]);
});

test('what is seldom done comes when it is asked for, and goes again', () => {
  render(
    <More label="Keep this picture">
      <Say>as SVG</Say>
    </More>,
  );
  const line = screen.getByRole('button', { name: 'Keep this picture', expanded: false });
  expect(screen.queryByText('as SVG')).toBeNull();
  fireEvent.click(line);
  expect(screen.getByText('as SVG')).toBeInTheDocument();
  fireEvent.click(line);
  expect(screen.queryByText('as SVG')).toBeNull();
});

test('the space bar ticks a box as well', () => {
  const onChange = jest.fn();
  render(<Tick label="Bodkin" on={false} onChange={onChange} />);
  fireEvent.keyDown(screen.getByRole('checkbox', { name: 'Bodkin' }), { key: ' ' });
  expect(onChange.mock.calls).toEqual([[true]]);
});
