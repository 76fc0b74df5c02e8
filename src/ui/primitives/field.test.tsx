import { fireEvent, render, screen } from '@testing-library/react';
import { Field } from './field';

test('what is being typed is never rewritten; at rest the stored value shows', () => {
  const onType = jest.fn();
  const { rerender } = render(<Field label="Body" value="8.2" onType={onType} />);
  const field = screen.getByLabelText('Body');
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: '8,' } });
  expect(onType).toHaveBeenLastCalledWith('8,');
  rerender(<Field label="Body" value="8" onType={onType} />);
  expect(field).toHaveValue('8,');
  fireEvent.blur(field);
  expect(field).toHaveValue('8');
});

test('a fault stands beside its field and is named by it; a hint gives way to it', () => {
  const { rerender } = render(<Field label="Body" value="x" hint="such as 8.2" onType={() => undefined} />);
  expect(screen.getByText('such as 8.2')).toBeInTheDocument();
  expect(screen.getByLabelText('Body')).not.toHaveAttribute('aria-invalid');
  rerender(<Field label="Body" value="x" hint="such as 8.2" error="cannot be read" onType={() => undefined} />);
  expect(screen.queryByText('such as 8.2')).toBeNull();
  const field = screen.getByLabelText('Body');
  expect(field).toHaveAttribute('aria-invalid', 'true');
  expect(document.getElementById(field.getAttribute('aria-describedby')!)).toHaveTextContent('cannot be read');
});

test('a number asks for the keys of a number, and Enter goes on', () => {
  const onEnter = jest.fn();
  render(<Field label="Body" value="" numeric unit="mm" onType={() => undefined} onEnter={onEnter} />);
  const field = screen.getByLabelText('Body');
  expect(field).toHaveAttribute('inputmode', 'decimal');
  expect(screen.getByText('mm')).toBeInTheDocument();
  fireEvent.keyDown(field, { key: 'Enter' });
  expect(onEnter).toHaveBeenCalledTimes(1);
});
