import { useState } from 'react';
import { View } from 'react-native';
import type { PositionId } from '@/catalogue/ids';
import { ruleFaults } from '@/core/outing';
import { fishing, hoursOn, latelySeen, placeFly, takeOff, tieOn, type OutingRecord } from '@/records';
import { foundBy } from '@/speech/card';
import { useAct, useApp } from '@/state';
import { selectCatalogue, rulesOf, selectTieable, selectRuled, selectStagesUp } from '@/state/answering';
import { hookLine } from '@/features/box';
import { NumberField } from '@/features/length-field';
import { useSpeech, useWords } from '@/features/shell';
import { spentText } from './came';
import { useHookOf } from './hook-of';
import { RigPart, rigOf } from './rig';
import { Button, Choose, Digits, Field, Fold, Row, Say } from '@/ui/primitives';

const POSITIONS = ['point', 'middle', 'top'] as const satisfies readonly PositionId[];
const NOWHERE = 'none';
const SHOWN = 6;
/** Of the stages that what is seen speaks for, so many choose a fly. */
const UP = 3;

/** Which flies fish: tied on from the boxes, where on the leader, for how long, and what the water's rules say of them. */
export function TeamFold({ id, outing, now, open }: { id: string; outing: OutingRecord; now: string; open: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const ruled = useApp(selectRuled);
  const hookOf = useHookOf();
  const nameOf = (fly: (typeof outing.team)[number]) => speech.beside([fly.name, hookOf(fly)]);
  const water = useApp((state) => (outing.waterId ? state.records.entities.water[outing.waterId] : undefined));
  const [editing, setEditing] = useState<string | null>(null);
  const team = fishing(outing);
  const rig = rigOf(outing, team.length);
  const faults = water ? ruleFaults(team.map(ruled), rulesOf(water), outing.rig === 'indicator') : [];
  const shown = open ? team : outing.team;
  return (
    <Fold
      wide
      title={words('out.team')}
      line={
        shown.length === 0
          ? words(open ? 'out.team-none' : 'out.team-was-none')
          : speech.list(shown.map((fly) => fly.name))
      }
    >
      {faults.map((fault) => (
        <Say key={JSON.stringify(fault)} tone="dawn" weight="medium">
          {speech.say(fault)}
        </Say>
      ))}
      {faults.length > 0 ? (
        <Say size="small" tone="soft">
          {words('out.check-rule')}
        </Say>
      ) : null}
      <View>
        {shown.map((fly) => (
          <View key={fly.id} className="gap-2 border-b border-line py-2">
            <View className="flex-row flex-wrap items-center gap-x-3">
              <View className="min-w-[32%] flex-1">
                <Say weight="medium">{fly.name}</Say>
                <Say size="small" tone="soft">
                  {speech.beside([
                    hookOf(fly),
                    fly.position && words(`out.position.${fly.position}`),
                    spentText(hoursOn(outing, fly, now), speech),
                  ])}
                </Say>
              </View>
              {open ? (
                <>
                  <Button
                    tall
                    kind="quiet"
                    label={words('out.where')}
                    spoken={words('out.where-spoken', { name: nameOf(fly) })}
                    onPress={() => setEditing(editing === fly.id ? null : fly.id)}
                  />
                  <Button
                    tall
                    label={words('out.off')}
                    spoken={words('out.off-spoken', { name: nameOf(fly) })}
                    onPress={() => act(takeOff, { outingId: id, fly: fly.id })}
                  />
                </>
              ) : null}
            </View>
            {open && editing === fly.id ? (
              <View className="gap-3">
                <Choose
                  tall
                  label={words('out.where-choice', { name: nameOf(fly) })}
                  choices={[
                    ...POSITIONS.filter((own) => own === fly.position || rig.places.some(({ at }) => at === own)).map(
                      (own) => ({ id: own as string, label: words(`out.position.${own}`) }),
                    ),
                    { id: NOWHERE, label: words('out.position-none') },
                  ]}
                  value={fly.position ?? NOWHERE}
                  onChange={(next) =>
                    act(placeFly, {
                      outingId: id,
                      fly: fly.id,
                      position: next === NOWHERE ? null : (next as PositionId),
                    })
                  }
                />
                {rig.apartMm ? (
                  <View className="max-w-56">
                    <NumberField
                      label={words('rig.apart', { usual: rig.apartMm[1] / 10 })}
                      value={fly.apartMm === null || fly.apartMm === undefined ? null : fly.apartMm / 10}
                      range={[5, 400]}
                      onChange={(cm) =>
                        act(placeFly, { outingId: id, fly: fly.id, apartMm: cm === null ? null : cm * 10 })
                      }
                    />
                  </View>
                ) : null}
              </View>
            ) : null}
          </View>
        ))}
      </View>
      {open ? (
        <RigPart id={id} outing={outing} />
      ) : outing.rig ? (
        <Say size="small">{words(`rig.name.${outing.rig}`)}</Say>
      ) : null}
      {open ? <FromBoxes id={id} outing={outing} now={now} /> : null}
    </Fold>
  );
}

/** A fly out of the boxes that are carried: those that answer what was seen first, else by name. */
function FromBoxes({ id, outing, now }: { id: string; outing: OutingRecord; now: string }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const tieable = useApp(selectTieable);
  const { hooks } = useApp(selectCatalogue);
  const { seen, rise } = latelySeen(outing, now);
  const up = useApp((state) => selectStagesUp(state, seen, rise, outing.start)).slice(0, UP);
  const answers = (stages: readonly string[]) =>
    up.reduce((sum, { stage, p }) => sum + (stages.includes(stage) ? p : 0), 0);
  const [sought, setSought] = useState('');
  const byId = new Map(hooks.map((hook) => [hook.id, hook]));
  const lines = tieable
    .map((own) => ({ ...own, hook: hookLine(own.fly, byId, speech), answers: answers(own.stages) }))
    .filter(({ name, hook }) => sought.trim() === '' || foundBy(`${name} ${hook}`, sought))
    .sort((a, b) => b.answers - a.answers || a.name.localeCompare(b.name));
  return (
    <View className="gap-2">
      <Field label={words('out.find-fly')} value={sought} onType={setSought} />
      {lines.length === 0 ? <Say tone="soft">{words('out.no-fly')}</Say> : null}
      <View className="border-t border-line">
        {lines.slice(0, SHOWN).map(({ flyId, fly, left, name, hook, answers: likely }) => (
          <Row
            key={flyId}
            tall
            wide={false}
            spoken={words('out.tie-on', { name, hook, count: left })}
            onPress={() => {
              act(tieOn, {
                outingId: id,
                flyId,
                dressingId: fly.dressingId ?? null,
                hookId: fly.hookId ?? null,
                name,
              });
              setSought('');
            }}
          >
            <View className="min-w-0 flex-1">
              <Say weight="medium">{name}</Say>
              <Say size="small" tone="soft">
                {speech.beside([hook, likely > 0 && words('out.answers-seen')])}
              </Say>
            </View>
            <Digits>{String(left)}</Digits>
          </Row>
        ))}
      </View>
      {lines.length > SHOWN ? (
        <Say size="small" tone="soft">
          {words('out.more-flies', { count: lines.length - SHOWN })}
        </Say>
      ) : null}
    </View>
  );
}
