import { fireEvent, render, screen } from '@testing-library/react';
import { Button, Chips, Toggle } from './controls';

test('chips are radios: the chosen one is checked, a tap chooses another', () => {
  const onChange = jest.fn();
  render(
    <Chips
      label="Water"
      choices={[
        { id: 'fast', label: 'Fast' },
        { id: 'slow', label: 'Slow' },
      ]}
      value="slow"
      onChange={onChange}
    />,
  );
  expect(screen.getByRole('radiogroup', { name: 'Water' })).toBeInTheDocument();
  expect(screen.getByRole('radio', { name: 'Slow' })).toHaveAttribute('aria-checked', 'true');
  expect(screen.getByRole('radio', { name: 'Fast' })).toHaveAttribute('aria-checked', 'false');
  fireEvent.click(screen.getByRole('radio', { name: 'Fast' }));
  expect(onChange).toHaveBeenCalledWith('fast');
});

test('a disabled button says so and does nothing', () => {
  const onPress = jest.fn();
  render(<Button label="Undo" disabled onPress={onPress} />);
  fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
  expect(screen.getByRole('button', { name: 'Undo' })).toHaveAttribute('aria-disabled', 'true');
  expect(onPress).not.toHaveBeenCalled();
});

test('a pin stays down and comes up again', () => {
  const onChange = jest.fn();
  const { rerender } = render(<Toggle label="Pin" spoken="Pin Lark 14" on={false} onChange={onChange} />);
  fireEvent.click(screen.getByRole('button', { name: 'Pin Lark 14', pressed: false }));
  expect(onChange).toHaveBeenLastCalledWith(true);
  rerender(<Toggle label="Unpin" spoken="Unpin Lark 14" on onChange={onChange} />);
  fireEvent.click(screen.getByRole('button', { name: 'Unpin Lark 14', pressed: true }));
  expect(onChange).toHaveBeenLastCalledWith(false);
});
