import { act, fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { FIELD_CARDS } from '@/catalogue/field-cards';
import { parseLength } from '@/core/units';
import { SpeechProvider } from '@/features/shell';
import { createStore, openStore } from '@/state';
import { memoryPorts } from '@/state/__tests__/ports';
import { change } from '@/state/__tests__/change';
import { ScaleAsked } from './by-hand-asked';
import { useByHand } from './use-by-hand';

function Scale() {
  return <ScaleAsked scaling={useByHand('belly', null).scaling} />;
}

async function opened(unit: 'mm' | 'in-decimal' | 'in-fraction') {
  const store = createStore(memoryPorts());
  await openStore(store, { start: 'clean', clock: null });
  act(() => void store.dispatch(change('unit', (draft) => void (draft.settings.main!.unit = unit))));
  render(
    <Provider store={store}>
      <SpeechProvider>
        <Scale />
      </SpeechProvider>
    </Provider>,
  );
}

test.each(['mm', 'in-decimal', 'in-fraction'] as const)('the card is as long in %s as it is', async (unit) => {
  await opened(unit);
  fireEvent.click(screen.getByRole('radio', { name: /rectangle/i }));
  const read = screen
    .getAllByRole('textbox')
    .map((field) => parseLength((field as HTMLInputElement).value, unit === 'mm' ? 'mm' : 'in'));
  const mm = read.map((length) => (length.ok ? length.mm : NaN));
  FIELD_CARDS.cards.wallet.size_mm.forEach((side, at) => expect(Math.abs(mm[at]! - side)).toBeLessThan(0.5));
});
