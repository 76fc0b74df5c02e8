import { useState } from 'react';
import { View } from 'react-native';
import { LAY_ACTS, tallyOf, type Rest, type Running } from '@/core/session';
import { POCKET_MOST } from '@/core/exchange/pocket';
import type { CardPage } from '@/core/exchange/tying-card-pdf';
import type { Card } from '@/core/tying';
import type { BatchRecord } from '@/records';
import { selectDevice, useApp } from '@/state';
import { cardPage, pocketPage } from '@/features/bench';
import { copyText, saveFile } from '@/features/files';
import { hookName } from '@/features/matches';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Pick, Say } from '@/ui/primitives';
import { run, type Jobs } from '@/workers';
import { layText, useLayOut } from './lay-out-list';
import { flyName } from './names';
import { useClock } from './use-session';
import { batchTitle } from './vise-screen';

const PDF = 'application/pdf';
const PAPERS = ['a4', 'letter'] as const;
/** Lengths to cut that are drawn on the list as they are, to cut against; a longer one is measured. */
const BARS = { most: 6, longestMm: 80 } as const;

type Section = CardPage['sections'][number];

/** The lists of a session: how many of what, what is laid out, and when which fly is taken up. */
function useSections({ batch, rest, running }: { batch: BatchRecord; rest: Rest; running: Running<Card> }): Section[] {
  const words = useWords();
  const speech = useSpeech();
  const clock = useClock();
  const lines = useLayOut(batch);
  const box = (name: string) => words('shopping.box-to-tick', { name });
  const flies = running.items.map((item) =>
    speech.beside([
      words('vise.print-fly', { count: item.count, fly: item.card.dressing.name }),
      hookName(item.card.hook),
      tallyOf(running, item).made > 0 && words('vise.made', { count: tallyOf(running, item).made }),
    ]),
  );
  const order = rest.plan.bars.map(({ fly, from, to, atS }) => {
    const own = rest.flies[fly - 1]!;
    return words('vise.print-step', { at: clock(atS), fly: flyName(running, own.item, own.n, speech), from, to });
  });
  return [
    { title: words('vise.flies'), lines: flies },
    ...LAY_ACTS.flatMap((act) => {
      const own = lines.filter((line) => line.act === act);
      return own.length > 0
        ? [{ title: words(`vise.lay-act.${act}`), lines: own.map((line) => box(layText(line, speech))) }]
        : [];
    }),
    { title: words('vise.order'), lines: order },
  ].filter((section) => section.lines.length > 0);
}

/** A session on paper and as text: its lists, its cards, and a pocket card to fold. */
export function PrintSession({ batch, rest, running }: { batch: BatchRecord; rest: Rest; running: Running<Card> }) {
  const words = useWords();
  const speech = useSpeech();
  const { printedScale: printed } = useApp(selectDevice);
  const [page, setPage] = useState<(typeof PAPERS)[number]>('a4');
  const [said, setSaid] = useState<string | null>(null);
  const lines = useLayOut(batch);
  const sections = useSections({ batch, rest, running });
  const title = batchTitle(batch, words, speech.list);
  const bars = lines
    .flatMap((line) =>
      line.act === 'cut' && line.mm !== null && line.mm <= BARS.longestMm
        ? [{ label: words('paper.bar', { what: line.name, mm: speech.length(line.mm) }), mm: line.mm }]
        : [],
    )
    .slice(0, BARS.most);
  const cards = batch.items.map(({ card }) => card);
  const save = (name: string, input: Jobs['cards-pdf']['input']) =>
    run('cards-pdf', input).then(
      ({ bytes, cut }) => {
        saveFile(name, bytes as Uint8Array<ArrayBuffer>, PDF);
        setSaid(cut > 0 ? words('vise.pocket-cut', { count: cut }) : null);
      },
      () => setSaid(words('paper.said.failed')),
    );
  const list: CardPage = {
    title: words('vise.session'),
    sub: title,
    natural: [
      speech.beside([speech.moment(batch.opened), batch.forName && words('vise.for', { name: batch.forName })]),
    ],
    sections,
    bars,
    drawing: null,
    words: { check: words('paper.check'), enlarged: '', trueSize: '', notes: words('paper.notes') },
  };
  return (
    <View className="gap-3 pb-2">
      <View className="max-w-[220px] flex-row">
        <Pick
          label={words('field-card.page')}
          choices={PAPERS.map((id) => ({ id, label: words(`field-card.pages.${id}`) }))}
          value={page}
          onChange={(id) => setPage(id!)}
        />
      </View>
      <View className="flex-row flex-wrap gap-3">
        <Button
          label={words('vise.print-lists')}
          onPress={() => void save('aubade-session.pdf', { cards: [list], pocket: false, page, printed })}
        />
        {cards.length > 0 ? (
          <>
            <Button
              label={words('vise.print-cards', { count: cards.length })}
              onPress={() =>
                void save('aubade-cards.pdf', {
                  cards: cards.map((card) => cardPage(card, [], speech, words)),
                  pocket: false,
                  page,
                  printed,
                })
              }
            />
            <Button
              label={words('vise.print-pocket')}
              onPress={() =>
                void save('aubade-pocket.pdf', {
                  cards: cards.slice(0, POCKET_MOST).map((card) => pocketPage(card, speech, words)),
                  pocket: true,
                  page,
                  printed,
                })
              }
            />
          </>
        ) : null}
        <Button
          kind="quiet"
          label={words('paper.copy')}
          onPress={() =>
            void copyText(
              [
                [title, ...list.natural].join('\n'),
                ...sections.map((own) => [own.title, ...own.lines].join('\n')),
              ].join('\n\n'),
            ).then((done) => setSaid(words(`paper.said.${done ? 'copied' : 'not-copied'}`)))
          }
        />
      </View>
      {said ? (
        <Say live size="small">
          {said}
        </Say>
      ) : null}
      <Say size="small" tone="soft">
        {words(cards.length > POCKET_MOST ? 'vise.pocket-first' : 'vise.pocket-hint', { count: POCKET_MOST })}
      </Say>
    </View>
  );
}
