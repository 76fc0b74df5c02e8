import { FIELD_CARDS } from '@/catalogue/field-cards';
import { fieldCardPdf } from '@/core/photo/card';
import type { FromWorker, Jobs } from './jobs';

interface WorkerScope {
  onmessage: ((event: MessageEvent<{ id: number; input: Jobs['card-pdf']['input'] }>) => void) | null;
  postMessage(message: FromWorker): void;
}

const scope = self as unknown as WorkerScope;

scope.onmessage = ({ data: { id, input } }) => {
  fieldCardPdf(FIELD_CARDS, input.size, input.page, input.words).then(
    (output) => scope.postMessage({ id, output }),
    (error: unknown) => scope.postMessage({ id, failed: String(error) }),
  );
};
