import { useState } from 'react';
import { View } from 'react-native';
import { writeDressings } from '@/core/exchange';
import type { PrintPage } from '@/core/hooks/drawn';
import type { Dressing } from '@/core/dressings';
import type { Card } from '@/core/tying';
import { selectCatalogue, useApp } from '@/state';
import { cardMarkdown, cardSheet } from '@/speech';
import { saveFile } from '@/features/files';
import { useSpeech, useWords } from '@/features/shell';
import { flyMarks, inTheme } from '@/ui/drawings';
import { Button, Chips, Say } from '@/ui/primitives';
import { run } from '@/workers';
import { AboutSection } from './dressing-about';

const PAGES: readonly PrintPage[] = ['a4', 'letter'];

/** A dressing and its card as files: to print, to read anywhere, or to hand to another tier. */
export function KeepCard({ card, dressing }: { card: Card; dressing: Dressing }) {
  const words = useWords();
  const speech = useSpeech();
  const catalogue = useApp(selectCatalogue);
  const [page, setPage] = useState<PrintPage>('a4');
  const [failed, setFailed] = useState(false);
  const sheet = cardSheet(card, speech);
  const json = () => writeDressings([dressing], catalogue);
  const pdf = () => {
    const { marks, bounds } = flyMarks(card);
    const resolved = marks.map((mark) => ({
      ...mark,
      fill: mark.fill && inTheme(mark.fill, 'morning'),
      stroke: mark.stroke && inTheme(mark.stroke, 'morning'),
    }));
    return run('tying-card-pdf', { card: { ...sheet, drawing: { marks: resolved, bounds } }, page }).then(
      (bytes) => saveFile(`aubade-${dressing.id}.pdf`, bytes as Uint8Array<ArrayBuffer>, 'application/pdf'),
      () => setFailed(true),
    );
  };
  return (
    <AboutSection title={words('dressing.keep')}>
      <View className="gap-3 pt-3">
        <Chips
          compact
          label={words('field-card.page')}
          choices={PAGES.map((id) => ({ id, label: words(`field-card.pages.${id}`) }))}
          value={page}
          onChange={setPage}
        />
        <View className="flex-row flex-wrap gap-3">
          <Button label={words('dressing.as-pdf')} onPress={() => void pdf()} />
          <Button
            label={words('dressing.as-markdown')}
            onPress={() => saveFile(`aubade-${dressing.id}.md`, cardMarkdown(sheet, json()), 'text/markdown')}
          />
          <Button label={words('dressing.as-json')} onPress={() => saveFile(`aubade-${dressing.id}.json`, json())} />
        </View>
        {failed ? (
          <Say live size="small" tone="dawn">
            {words('field-card.failed')}
          </Say>
        ) : null}
        <Say size="small" tone="soft">
          {words('dressing.keep-hint')}
        </Say>
      </View>
    </AboutSection>
  );
}
