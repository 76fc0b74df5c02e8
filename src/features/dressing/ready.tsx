import { useMemo } from 'react';
import { View } from 'react-native';
import type { Readiness } from '@/catalogue/ids';
import { neededBy, standInFor, substitutesFor, type Dressing } from '@/core/dressings';
import { hookFor, readyAtHand } from '@/core/answer';
import { everyHeld } from '@/core/materials';
import { useApp } from '@/state';
import { selectAtHand, selectCatalogue, selectHeld, selectNamed, selectStash } from '@/state/answering';
import { useSpeech, useWords } from '@/features/shell';
import { Fold, Say, WordLink } from '@/ui/primitives';
import { AboutSection } from './dressing-about';
import { Refusal, Several } from './materials-in-use';

const TONE = { ready: 'sedge', substitutes: 'straw', short: 'dawn', unknown: 'soft' } as const;

/** Whether a dressing can be tied from what is had, in a word; nothing until a stash has been begun. */
export function ReadyWord({ ready }: { ready: Readiness }) {
  const speech = useSpeech();
  if (ready === 'unknown') return null;
  return (
    <Say size="small" tone={TONE[ready]} weight="medium">
      {speech.plain('readiness', ready)}
    </Say>
  );
}

/** Which dressings of a library can be tied, by id; null until a stash has been begun. */
export function useReadiness(dressings: readonly Dressing[]): ReadonlyMap<string, Readiness> | null {
  const hand = useApp(selectAtHand);
  const catalogue = useApp(selectCatalogue);
  return useMemo(
    () =>
      hand.stash &&
      new Map(dressings.map((dressing) => [dressing.id, readyAtHand(dressing, hand, catalogue).ready] as const)),
    [dressings, hand, catalogue],
  );
}

/** What a dressing needs and what of it is had: the material itself, a shade of it, what stands in, or nothing. */
export function FromTheDrawer({ dressing }: { dressing: Dressing }) {
  const words = useWords();
  const stash = useApp(selectStash);
  const { materials } = useApp(selectCatalogue);
  const lines = useMemo(() => {
    if (stash === null) return [];
    const nameOf = (id: string) => materials.find((material) => material.id === id)?.name ?? id;
    const seen = new Set<string>();
    return neededBy(dressing).flatMap((needed) => {
      if (seen.has(needed.material)) return [];
      seen.add(needed.material);
      const found = standInFor(dressing, needed, stash, materials);
      return [
        {
          id: needed.material,
          name: nameOf(needed.material),
          as: found?.as ?? ('short' as const),
          by: found ? nameOf(found.id) : '',
        },
      ];
    });
  }, [dressing, stash, materials]);
  return (
    <AboutSection title={words('ready.title')}>
      {stash === null ? (
        <View className="gap-1">
          <Say size="small" tone="soft">
            {words('ready.unknown')}
          </Say>
          <WordLink to="/drawer/materials">{words('ready.begin')}</WordLink>
        </View>
      ) : (
        lines.map(({ id, name, as, by }) =>
          as === 'itself' || as === 'shade' ? (
            <View key={id} className="border-b border-line py-2">
              <Say>{name}</Say>
              <Say size="small" tone="sedge">
                {words(`ready.as.${as}`, { by })}
              </Say>
            </View>
          ) : (
            <Fold
              key={id}
              title={name}
              line={words(`ready.as.${as}`, { by })}
              face={
                <View className="min-w-0 flex-1">
                  <Say>{name}</Say>
                  <Say size="small" tone={as === 'short' ? 'dawn' : 'straw'}>
                    {words(`ready.as.${as}`, { by })}
                  </Say>
                </View>
              }
            >
              <StandIns dressing={dressing} id={id} />
            </Fold>
          ),
        )
      )}
      {stash === null ? null : (
        <>
          <HookAndTools dressing={dressing} />
          <View className="flex-row flex-wrap gap-x-5 pt-2">
            {dressing.threads.length > 0 ? (
              <WordLink to={{ pathname: '/drawer/threads', params: { dressing: dressing.id } }}>
                {words('threads.which')}
              </WordLink>
            ) : null}
            {lines.some(({ as }) => as === 'short' || as === 'substitute') ? (
              <WordLink to={{ pathname: '/drawer/shopping', params: { dressing: dressing.id } }}>
                {words('ready.shop')}
              </WordLink>
            ) : null}
          </View>
        </>
      )}
    </AboutSection>
  );
}

/** The hook of the drawer that carries it, and the tools it needs: each where something was said of them. */
function HookAndTools({ dressing }: { dressing: Dressing }) {
  const words = useWords();
  const { hooks, tools } = useApp(selectAtHand);
  const catalogue = useApp(selectCatalogue);
  const hook = useMemo(() => hooks && hookFor(dressing, hooks, catalogue), [dressing, hooks, catalogue]);
  const line = (name: string, said: string, had: boolean) => (
    <View key={name} className="border-b border-line py-2">
      <Say>{name}</Say>
      <Say size="small" tone={had ? 'sedge' : 'straw'}>
        {said}
      </Say>
    </View>
  );
  return (
    <>
      {hooks === null
        ? null
        : line(
            words('ready.hook'),
            hook
              ? words('ready.hook-had', { hook: `${hook.makerName} ${hook.modelName} ${hook.size}` })
              : words('ready.hook-none'),
            hook !== null,
          )}
      {tools === null
        ? null
        : dressing.tools.flatMap((id) => {
            const tool = catalogue.tools.find((own) => own.id === id);
            if (!tool) return [];
            return tools.has(id)
              ? [line(tool.name, words('ready.as.itself'), true)]
              : [line(tool.name, words('ready.tool-without', { how: tool.without }), false)];
          })}
    </>
  );
}

const MOST = { stash: 3, sold: 3, refused: 2 } as const;

/** What may stand in for a material of a dressing, from what is had and from what is sold: what changes in the tying, and what may not stand in. */
function StandIns({ dressing, id }: { dressing: Dressing; id: string }) {
  const words = useWords();
  const held = useApp(selectHeld);
  const named = useApp(selectNamed);
  const { own, sold, refused } = useMemo(() => {
    const wanted = named.materials.find((material) => material.id === id);
    if (!wanted) return { own: [], sold: [], refused: [] };
    const asked = { wanted, hex: wanted.hex, dressing };
    const mine = substitutesFor({ ...asked, held: held ?? [] });
    const all = substitutesFor({ ...asked, held: everyHeld(named) });
    return {
      own: mine.substitutes.slice(0, MOST.stash),
      sold: all.substitutes.slice(0, MOST.sold),
      refused: mine.refused.slice(0, MOST.refused),
    };
  }, [dressing, held, id, named]);
  return (
    <>
      {own.length > 0 ? <Several title={words('ready.yours')} several={own} /> : null}
      <Several title={words('ready.sold')} several={sold} />
      {refused.map((one) => (
        <Refusal key={one.id} refused={one} />
      ))}
    </>
  );
}
