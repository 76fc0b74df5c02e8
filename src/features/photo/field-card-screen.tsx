import { useState } from 'react';
import { View } from 'react-native';
import { FIELD_CARDS } from '@/catalogue/field-cards';
import { fieldCardSvg, type CardSize, type PageSize } from '@/core/photo/card/svg';
import { setDevice } from '@/records';
import { selectDevice, useAct, useApp } from '@/state';
import { saveFile } from '@/features/files';
import { LengthField } from '@/features/length-field';
import { Page, useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Heading, Say } from '@/ui/primitives';
import { run } from '@/workers';
import { CardPreview } from './card-preview';

const SIZES: readonly CardSize[] = ['wallet', 'large'];
const PAGES: readonly PageSize[] = ['a4', 'letter'];
const CHECK_RANGE_MM = [40, 62.5] as const;

/** The printed card: to print at its true size, and what its check line really is. */
export function FieldCardScreen() {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { printedScale } = useApp(selectDevice);
  const [size, setSize] = useState<CardSize>('wallet');
  const [page, setPage] = useState<PageSize>('a4');
  const [failed, setFailed] = useState(false);
  const text = {
    title: speech.t('field-card.title'),
    print: speech.t('field-card.print'),
    check: speech.t('field-card.check'),
  };
  const check = FIELD_CARDS.cards[size].check.length_mm;
  const pdf = () =>
    run('field-card-pdf', { size, page, words: text }).then(
      (bytes) => {
        saveFile(`aubade-field-card-${size}-${page}.pdf`, bytes as Uint8Array<ArrayBuffer>, 'application/pdf');
        act(setDevice, { cardKept: true });
      },
      () => setFailed(true),
    );
  return (
    <Page
      back={{ href: '/shelf', label: words('place.shelf') }}
      title={words('shelf.field-card')}
      lead={words('field-card.lead')}
    >
      <View className="gap-6 px-5">
        <CardPreview size={size} />
        <View className="gap-3">
          <Choose
            label={words('field-card.size')}
            choices={SIZES.map((id) => ({ id, label: words(`field-card.sizes.${id}`) }))}
            value={size}
            onChange={setSize}
          />
          <Choose
            label={words('field-card.page')}
            choices={PAGES.map((id) => ({ id, label: words(`field-card.pages.${id}`) }))}
            value={page}
            onChange={setPage}
          />
        </View>
        <View className="flex-row flex-wrap gap-3">
          <Button kind="main" label={words('field-card.pdf')} onPress={() => void pdf()} />
          <Button
            label={words('field-card.svg')}
            onPress={() => {
              saveFile(
                `aubade-field-card-${size}-${page}.svg`,
                fieldCardSvg(FIELD_CARDS, size, page, text),
                'image/svg+xml',
              );
              act(setDevice, { cardKept: true });
            }}
          />
        </View>
        {failed ? (
          <Say live size="small" tone="dawn">
            {words('field-card.failed')}
          </Say>
        ) : null}
        <View className="max-w-96 gap-2">
          <Heading size="small">{words('field-card.check')}</Heading>
          <LengthField
            label={words('field-card.check-line')}
            mm={printedScale * check}
            rangeMm={CHECK_RANGE_MM}
            hint={words('field-card.check-hint')}
            onChange={(mm) => act(setDevice, { printedScale: mm === null ? 1 : mm / check })}
          />
        </View>
        <View className="gap-2">
          <Heading size="small">{words('field-card.how')}</Heading>
          {['flat', 'all', 'near', 'light'].map((step) => (
            <Say key={step} size="small">
              {words(`field-card.steps.${step}`)}
            </Say>
          ))}
        </View>
      </View>
    </Page>
  );
}
