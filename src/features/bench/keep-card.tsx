import { useState } from 'react';
import { View } from 'react-native';
import { writeDressings } from '@/core/exchange';
import { tyingCardSvg } from '@/core/exchange/tying-card-svg';
import type { CardPaper } from '@/core/exchange/tying-card-pdf';
import type { Dressing } from '@/core/dressings';
import type { Card } from '@/core/tying';
import { selectDevice, useApp } from '@/state';
import { selectCatalogue } from '@/state/answering';
import { cardMarkdown, cardSheet, sheetText } from '@/speech/card';
import { canShare, copyText, saveFile, shareFile } from '@/features/files';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Pick, Say } from '@/ui/primitives';
import { run } from '@/workers';
import { cardPage } from './card-page';

const PAPERS: readonly CardPaper[] = ['a4', 'letter', 'a5'];
const PDF = 'application/pdf';

/** A card on paper and as files: one page to print, text to paste, and what reads back. `natural` is what it is tied for, and when. */
export function KeepCard({ card, dressing, natural }: { card: Card; dressing: Dressing; natural: readonly string[] }) {
  const words = useWords();
  const speech = useSpeech();
  const catalogue = useApp(selectCatalogue);
  const { printedScale } = useApp(selectDevice);
  const [paper, setPaper] = useState<CardPaper>('a4');
  const [said, setSaid] = useState<'failed' | 'copied' | 'not-copied' | null>(null);
  const sheet = cardSheet(card, speech);
  const name = `aubade-${dressing.id}`;
  const json = () => writeDressings([dressing], catalogue);
  const pdf = (hand: (bytes: Uint8Array<ArrayBuffer>) => void | Promise<void>) =>
    run('tying-card-pdf', { card: cardPage(card, natural, speech, words), page: paper, printed: printedScale })
      .then((bytes) => hand(bytes as Uint8Array<ArrayBuffer>))
      .then(
        () => setSaid(null),
        () => setSaid('failed'),
      );
  return (
    <View className="gap-3">
      <View className="flex-row flex-wrap items-end gap-3">
        <Pick
          label={words('field-card.page')}
          choices={PAPERS.map((id) => ({ id, label: words(`field-card.pages.${id}`) }))}
          value={paper}
          onChange={(id) => setPaper(id!)}
        />
        <Button
          label={words('dressing.as-pdf')}
          onPress={() => void pdf((bytes) => saveFile(`${name}.pdf`, bytes, PDF))}
        />
      </View>
      <Say size="small" tone="soft">
        {words('paper.hint')}
      </Say>
      <View className="flex-row flex-wrap gap-x-2 -ml-4">
        {canShare(PDF) ? (
          <Button
            kind="quiet"
            label={words('paper.share')}
            onPress={() => void pdf((bytes) => shareFile(`${name}.pdf`, bytes, PDF))}
          />
        ) : null}
        <Button
          kind="quiet"
          label={words('paper.copy')}
          onPress={() =>
            void copyText(sheetText({ ...sheet, notes: [...sheet.notes, ...natural] })).then((done) =>
              setSaid(done ? 'copied' : 'not-copied'),
            )
          }
        />
        <Button
          kind="quiet"
          label={words('dressing.as-markdown')}
          onPress={() => saveFile(`${name}.md`, cardMarkdown(sheet, json()), 'text/markdown')}
        />
        <Button
          kind="quiet"
          label={words('dressing.as-svg')}
          onPress={() => saveFile(`${name}.svg`, tyingCardSvg(cardPage(card, natural, speech, words)), 'image/svg+xml')}
        />
        <Button kind="quiet" label={words('dressing.as-json')} onPress={() => saveFile(`${name}.json`, json())} />
      </View>
      {said ? (
        <Say live size="small" tone={said === 'copied' ? 'sedge' : 'dawn'}>
          {words(`paper.said.${said}`)}
        </Say>
      ) : null}
      <Say size="small" tone="soft">
        {words('dressing.keep-hint')}
      </Say>
    </View>
  );
}
