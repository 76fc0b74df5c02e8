import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { Pick } from '.';
import { DragHandle, DragList, DragRow } from './drag-list';

function Where({ onChange, none }: { onChange: (id: string | null) => void; none?: string }) {
  const [value, setValue] = useState<string | null>(null);
  return (
    <Pick
      label="Where"
      choices={[
        { id: 'a', label: 'At the eye' },
        { id: 'b', label: 'At the bend' },
      ]}
      value={value}
      none={none}
      onChange={(id) => {
        setValue(id);
        onChange(id);
      }}
    />
  );
}

test('one of many is a list with its name, and none of them is a choice where it is called something', () => {
  const heard: (string | null)[] = [];
  render(<Where none="nowhere" onChange={(id) => heard.push(id)} />);
  const list = screen.getByRole<HTMLSelectElement>('combobox', { name: 'Where' });
  expect([...list.options].map((option) => option.text)).toEqual(['nowhere', 'At the eye', 'At the bend']);
  fireEvent.change(list, { target: { value: 'b' } });
  expect(list.selectedOptions[0]!.text).toBe('At the bend');
  fireEvent.change(list, { target: { value: '' } });
  expect(heard).toEqual(['b', null]);
});

test('where there is always one, nothing else is offered', () => {
  render(<Where onChange={() => undefined} />);
  expect(screen.getByRole<HTMLSelectElement>('combobox').options).toHaveLength(2);
});

test('a row of a list that is moved has a handle with a name, that says how', () => {
  const said = { how: 'space and arrows', taken: String, over: String, put: String, left: 'left' };
  render(
    <DragList ids={['a', 'b']} said={said} onMove={() => undefined}>
      {['a', 'b'].map((id) => (
        <DragRow key={id} id={id}>
          <DragHandle label={`Move ${id}`} />
        </DragRow>
      ))}
    </DragList>,
  );
  const handle = screen.getByRole('button', { name: 'Move b' });
  expect(handle).toHaveAccessibleDescription('space and arrows');
  expect(handle).toHaveAttribute('tabindex', '0');
});
