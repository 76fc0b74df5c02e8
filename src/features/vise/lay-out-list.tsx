import { useMemo } from 'react';
import { View } from 'react-native';
import { layOutOf, LAY_ACTS, type LayLine } from '@/core/session';
import { setTimer, tickLine, type BatchRecord } from '@/records';
import { useAct, useApp } from '@/state';
import { selectNamed } from '@/state/answering';
import type { Speech } from '@/speech';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Heading, Row, Say, TickBox } from '@/ui/primitives';

/** What is laid out for a session, in amounts for what is still to be tied and for what is tied. */
export function useLayOut(batch: BatchRecord): LayLine[] {
  const named = useApp(selectNamed);
  return useMemo(() => {
    const byId = new Map(named.materials.map((material) => [material.id, material]));
    return layOutOf(batch.items, (id) => byId.get(id));
  }, [batch.items, named]);
}

/** A length that comes off a spool: in metres where it is one. */
function spool(mm: number, speech: Speech): string {
  return speech.unit === 'mm' && mm >= 1000
    ? speech.t('ui.vise.metres', { m: speech.number(mm / 1000, 1) })
    : speech.length(mm);
}

/** One line of the lay-out in words. */
export function layText({ act, name, count, strands, mm, mg, bead, barb, seconds }: LayLine, speech: Speech): string {
  const said = (key: string, params: Record<string, unknown>) => speech.t(`ui.vise.lay.${key}`, params);
  const base = { name: speech.worded(name), count };
  switch (act) {
    case 'bead':
      return bead
        ? said('bead', {
            ...base,
            mm: speech.length(bead.mm),
            kind: bead.kind ? speech.plain('bead-kinds', bead.kind) : '',
          })
        : said('count', base);
    case 'soak':
      return said('soak', { ...base, minutes: Math.round((seconds ?? 0) / 60) });
    case 'sort':
      return speech.beside([
        said('sort', { ...base, barb: speech.length(barb!.mm) }),
        barb!.gauge && said('gauge', { gauge: barb!.gauge }),
        mm !== null && said('stem', { mm: speech.length(mm) }),
      ]);
    case 'cut':
      return said('cut', { ...base, mm: speech.length(mm!) });
    case 'thread':
      return said('thread', { ...base, mm: spool(mm!, speech) });
    case 'mix':
      return said('mix', { ...base, mg: speech.number(mg!, mg! < 10 ? 1 : 0) });
    case 'count':
      return said(strands ? 'strands' : 'count', base);
    default:
      return said(act, base);
  }
}

/** Everything to test, sort, cut, count, soak and mix before the first hook, each ticked when it is done. */
export function LayOutList({ batchId, batch }: { batchId: string; batch: BatchRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const lines = useLayOut(batch);
  const several = batch.items.length > 1;
  return (
    <View>
      {LAY_ACTS.flatMap((kind) => {
        const own = lines.filter((line) => line.act === kind);
        if (own.length === 0) return [];
        return [
          <View key={kind} className="pt-3">
            <Heading size="small" level={3} className="pb-1">
              {words(`vise.lay-act.${kind}`)}
            </Heading>
            {own.map((line) => {
              const text = layText(line, speech);
              const done = batch.ticks[line.id] === true;
              return (
                <View key={line.id} className="flex-row flex-wrap items-center gap-x-3 border-b border-line">
                  <View className="min-w-[60%] flex-1">
                    <Row
                      wide={false}
                      line={false}
                      ticked={done}
                      spoken={text}
                      onPress={() => act(tickLine, { batchId, line: line.id, on: !done })}
                    >
                      <TickBox on={done} />
                      <View className="min-w-0 flex-1">
                        <Say tone={done ? 'soft' : 'ink'}>{text}</Say>
                        {several ? (
                          <Say size="small" tone="soft">
                            {speech.list(line.flies)}
                          </Say>
                        ) : null}
                      </View>
                    </Row>
                  </View>
                  {line.seconds !== null && !done && batch.ended === null ? (
                    <Button
                      label={words('vise.soak-timer', { count: Math.round(line.seconds / 60) })}
                      spoken={words('vise.soak-timer-spoken', { name: line.name })}
                      onPress={() =>
                        act(setTimer, {
                          batchId,
                          name: words('vise.soaks', { name: line.name }),
                          seconds: line.seconds!,
                        })
                      }
                    />
                  ) : null}
                </View>
              );
            })}
          </View>,
        ];
      })}
    </View>
  );
}
