import { useState } from 'react';
import { View } from 'react-native';
import { chartPages, chartSvg, type ChartHook, type PrintPage } from '@/core/hooks/drawn';
import { reads, readsGape, type Hook } from '@/core/hooks';
import { setDevice } from '@/records';
import { selectDevice, useAct, useApp } from '@/state';
import { saveFile } from '@/features/files';
import { LengthField } from '@/features/length-field';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Say } from '@/ui/primitives';
import { run } from '@/workers';

const PAGES: readonly PrintPage[] = ['a4', 'letter'];
const CHECK_MM = 50;
const CHECK_RANGE_MM = [40, 62.5] as const;

/** A chart of the drawer to print: silhouettes at their true size, with the line that tells whether the printer kept it. */
export function HookChart({ hooks }: { hooks: readonly Hook[] }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { printedScale } = useApp(selectDevice);
  const [page, setPage] = useState<PrintPage>('a4');
  const [failed, setFailed] = useState(false);
  const drawn = hooks.map((hook): ChartHook => ({
    bend: hook.bend,
    eye: hook.eye,
    barb: hook.barb,
    shankMm: hook.shank.value,
    gapeMm: hook.gape.value,
    biteMm: hook.bite.value,
    wireMm: hook.wireDiameter.value,
    eyeMm: hook.eyeOuter.value,
    lines: [
      `${hook.makerName} ${hook.modelName} ${hook.size}`,
      words('chart.reads', {
        about: hook.estimated.includes('shank_mm') ? `${speech.t('about')} ` : '',
        shank: speech.length(hook.shank.value),
        long: speech.number(reads(hook.shank.value), 1),
        wide: speech.number(readsGape(hook.gape.value), 1),
      }),
    ],
  }));
  const pages = chartPages(drawn, page, 1 / printedScale);
  const text = {
    title: words('chart.title'),
    check: words('chart.check'),
    page: words('chart.page', { page: '{{page}}', of: '{{of}}' }),
  };
  const paged = {
    ...text,
    page: (at: number, of: number) => text.page.replace('{{page}}', String(at)).replace('{{of}}', String(of)),
  };
  const pdf = () =>
    run('chart-pdf', { hooks: drawn, page, printed: printedScale, words: text }).then(
      (bytes) => saveFile(`aubade-hooks-${page}.pdf`, bytes as Uint8Array<ArrayBuffer>, 'application/pdf'),
      () => setFailed(true),
    );
  return (
    <View className="gap-4 border-y border-line bg-plane px-5 py-4">
      <Say size="small">{words('chart.lead', { count: hooks.length, pages: pages.length })}</Say>
      <Choose
        label={words('field-card.page')}
        choices={PAGES.map((id) => ({ id, label: words(`field-card.pages.${id}`) }))}
        value={page}
        onChange={setPage}
      />
      <View className="flex-row flex-wrap gap-3">
        <Button kind="main" label={words('chart.pdf')} onPress={() => void pdf()} />
        {pages.map((item, index) => (
          <Button
            key={item.number}
            label={pages.length === 1 ? words('chart.svg') : words('chart.svg-n', { page: item.number })}
            onPress={() =>
              saveFile(
                `aubade-hooks-${page}-${item.number}.svg`,
                chartSvg(pages, index, page, printedScale, paged),
                'image/svg+xml',
              )
            }
          />
        ))}
      </View>
      {failed ? (
        <Say live size="small" tone="dawn">
          {words('field-card.failed')}
        </Say>
      ) : null}
      <View className="max-w-96">
        <LengthField
          label={words('field-card.check-line')}
          mm={printedScale * CHECK_MM}
          rangeMm={CHECK_RANGE_MM}
          hint={words('chart.check-hint')}
          onChange={(mm) => act(setDevice, { printedScale: mm === null ? 1 : mm / CHECK_MM })}
        />
      </View>
    </View>
  );
}
