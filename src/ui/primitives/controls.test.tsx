import { fireEvent, render, screen } from '@testing-library/react';
import { Choose } from './choose';
import { Button, Toggle } from './controls';

test('chips are radios: the chosen one is checked, a tap chooses another', () => {
  const onChange = jest.fn();
  render(
    <Choose
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

describe('a group is one stop of the Tab key', () => {
  const waters = ['fast', 'slow', 'still'].map((id) => ({ id, label: id }));
  const group = (value: string | null) => {
    const onChange = jest.fn();
    render(<Choose label="Water" choices={waters} value={value} onChange={onChange} />);
    return { onChange, radios: screen.getAllByRole('radio') };
  };
  const press = (key: string) => fireEvent.keyDown(document.activeElement!, { key });

  test.each([
    ['slow', ['-1', '0', '-1']],
    [null, ['0', '-1', '-1']],
    ['gone', ['0', '-1', '-1']],
  ])('with %s chosen Tab reaches one of them', (value, stops) => {
    expect(group(value).radios.map((radio) => radio.getAttribute('tabindex'))).toEqual(stops);
  });

  test('arrows, Home and End go through it and round it, and take nothing; Space takes', () => {
    const { onChange, radios } = group('slow');
    radios[1]!.focus();
    const at = () => radios.indexOf(document.activeElement as HTMLElement);
    const went = ['ArrowRight', 'ArrowDown', 'ArrowLeft', 'Home', 'ArrowUp', 'Home', 'End'].map((key) => {
      press(key);
      return at();
    });
    expect(went).toEqual([2, 0, 2, 0, 2, 0, 2]);
    expect(onChange).not.toHaveBeenCalled();
    press(' ');
    expect(onChange.mock.calls).toEqual([['still']]);
    press('x');
    expect(at()).toBe(2);
  });
});
