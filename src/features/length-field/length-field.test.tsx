import { fireEvent, screen } from '@testing-library/react';
import { SETTINGS_ID } from '@/records';
import { act } from 'react';
import { openScreen } from '../__tests__/screen';
import { LengthField } from './index';
import { change } from '@/state/__tests__/change';

const type = (value: string) => {
  fireEvent.focus(screen.getByLabelText('Length'));
  fireEvent.change(screen.getByLabelText('Length'), { target: { value } });
};

describe('a length field', () => {
  test('gives millimetres, or null when it is emptied', async () => {
    const got = jest.fn();
    await openScreen(<LengthField label="Length" mm={null} onChange={got} />, 'clean');
    type('8,2');
    type('5/16"');
    fireEvent.change(screen.getByLabelText('Length'), { target: { value: '' } });
    expect(got.mock.calls.map(([mm]) => mm)).toEqual([8.2, expect.closeTo(7.9375, 4), null]);
  });
  test('what cannot be read, or lies outside its range, stays as typed and changes nothing', async () => {
    const got = jest.fn();
    await openScreen(<LengthField label="Length" mm={9} rangeMm={[5, 40]} onChange={got} />, 'clean');
    type('nine');
    expect(screen.getByLabelText('Length')).toHaveAttribute('aria-invalid', 'true');
    type('50');
    fireEvent.blur(screen.getByLabelText('Length'));
    expect(screen.getByLabelText('Length')).toHaveValue('50');
    expect(got).not.toHaveBeenCalled();
  });
  test('shows the unit of the settings', async () => {
    const { store } = await openScreen(<LengthField label="Length" mm={25.4} onChange={() => undefined} />, 'clean');
    expect(screen.getByLabelText('Length')).toHaveValue('25.4');
    await act(
      async () =>
        void store.dispatch(change('unit', (draft) => void (draft.settings[SETTINGS_ID]!.unit = 'in-decimal'))),
    );
    expect(screen.getByLabelText('Length')).toHaveValue('1.000');
  });
});
