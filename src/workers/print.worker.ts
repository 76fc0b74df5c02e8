import strong from '@expo-google-fonts/instrument-sans/600SemiBold/InstrumentSans_600SemiBold.ttf';
import text from '@expo-google-fonts/instrument-sans/400Regular/InstrumentSans_400Regular.ttf';
import { FIELD_CARDS } from '@/catalogue/field-cards';
import { chartPages } from '@/core/hooks/drawn';
import { cardsPdf, pocketPdf } from '@/core/exchange/many-cards-pdf';
import { cardPdf } from '@/core/exchange/tying-card-pdf';
import { chartPdf } from '@/core/hooks/drawn/hook-chart-pdf';
import { fieldCardPdf } from '@/core/photo/card';
import type { FromWorker, Jobs, ToWorker } from './jobs';

interface WorkerScope {
  onmessage:
    | ((
        event: MessageEvent<
          ToWorker<'field-card-pdf'> | ToWorker<'chart-pdf'> | ToWorker<'tying-card-pdf'> | ToWorker<'cards-pdf'>
        >,
      ) => void)
    | null;
  postMessage(message: FromWorker): void;
}

const scope = self as unknown as WorkerScope;

function chart({ hooks, page, printed, words }: Jobs['chart-pdf']['input']): Promise<Uint8Array> {
  const paged = {
    ...words,
    page: (at: number, of: number) => words.page.replace('{{page}}', String(at)).replace('{{of}}', String(of)),
  };
  return chartPdf(chartPages(hooks, page, 1 / printed), page, printed, paged);
}

async function cards(input: Jobs['cards-pdf']['input']): Promise<Jobs['cards-pdf']['output']> {
  const faces = { text, strong };
  return input.pocket
    ? pocketPdf(input.cards, input.page, faces, input.printed)
    : { bytes: await cardsPdf(input.cards, input.page, faces, input.printed), cut: 0 };
}

scope.onmessage = ({ data }) => {
  if ('warm' in data) return;
  const { id, input } = data;
  const made: Promise<Jobs['chart-pdf' | 'cards-pdf']['output']> =
    'cards' in input
      ? cards(input)
      : 'card' in input
        ? cardPdf(input.card, input.page, { text, strong }, input.printed)
        : 'hooks' in input
          ? chart(input)
          : fieldCardPdf(FIELD_CARDS, input.size, input.page, input.words);
  made.then(
    (output) => scope.postMessage({ id, output }),
    (error: unknown) => scope.postMessage({ id, failed: String(error) }),
  );
};
