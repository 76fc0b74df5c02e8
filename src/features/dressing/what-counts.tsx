import { View } from 'react-native';
import { CRITERIA, type Criterion } from '@/core/dressings';
import { setSettings } from '@/records';
import { selectSettings, useAct, useApp } from '@/state';
import { selectTools } from '@/state/answering';
import { useWords } from '@/features/shell';
import { Choose, Heading, Say, Tick } from '@/ui/primitives';

const WEIGHTS = [0, 0.5, 1, 2] as const;
const ANY = 'any';
const MINUTES = ['5', '8', '12', '20'] as const;
const SKILLS = ['1', '2', '3'] as const;

/** The tier at the bench: practice, minutes, tools. Part of the settings, and of the choice of a dressing. */
export function AtTheBench() {
  const words = useWords();
  const tools = useApp(selectTools);
  const settings = useApp(selectSettings);
  const act = useAct();
  return (
    <View className="gap-4">
      <View className="gap-1">
        <Heading size="small" level={3}>
          {words('picking.skill')}
        </Heading>
        <Choose
          label={words('picking.skill')}
          choices={[
            { id: ANY, label: words('picking.not-set') },
            ...SKILLS.map((id) => ({ id: id as string, label: words(`dressing.skill-n.${id}`) })),
          ]}
          value={settings.skill ? String(settings.skill) : ANY}
          onChange={(id) => act(setSettings, { skill: id === ANY ? null : (Number(id) as 1 | 2 | 3) })}
        />
      </View>
      <View className="gap-1">
        <Heading size="small" level={3}>
          {words('picking.minutes')}
        </Heading>
        <Choose
          label={words('picking.minutes')}
          choices={[
            { id: ANY, label: words('picking.not-set') },
            ...MINUTES.map((id) => ({ id: id as string, label: words('picking.up-to', { minutes: id }) })),
          ]}
          value={settings.minutes ? String(settings.minutes) : ANY}
          onChange={(id) => act(setSettings, { minutes: id === ANY ? null : Number(id) })}
        />
      </View>
      <View className="gap-1">
        <Heading size="small" level={3}>
          {words('picking.tools')}
        </Heading>
        <Say size="small" tone="soft">
          {words(settings.tools ? 'picking.tools-hint' : 'picking.tools-unknown')}
        </Say>
        <View className="flex-row flex-wrap gap-x-4">
          {tools.map((tool) => {
            const own = settings.tools ?? tools.map((item) => item.id);
            const on = own.includes(tool.id);
            return (
              <Tick
                key={tool.id}
                label={tool.name}
                on={settings.tools != null && on}
                onChange={() =>
                  act(setSettings, {
                    tools: settings.tools ? (on ? own.filter((id) => id !== tool.id) : [...own, tool.id]) : [tool.id],
                  })
                }
              />
            );
          })}
        </View>
      </View>
    </View>
  );
}

/** What each criterion of the choice counts, set by the tier. */
export function WhatCounts() {
  const words = useWords();
  const { pickWeights } = useApp(selectSettings);
  const act = useAct();
  const weigh = (criterion: Criterion, weight: number) => {
    const next = { ...pickWeights, [criterion]: weight };
    if (weight === 1) delete next[criterion];
    act(setSettings, { pickWeights: next });
  };
  return (
    <View className="gap-3">
      {CRITERIA.map((criterion) => (
        <View key={criterion} className="gap-1 border-b border-line pb-2">
          <Say weight="medium">{words(`picking.criterion.${criterion}`)}</Say>
          <Choose
            label={words(`picking.criterion.${criterion}`)}
            choices={WEIGHTS.map((weight) => ({
              id: String(weight),
              label: words(`picking.weight.${String(weight).replace('.', '-')}`),
            }))}
            value={String(pickWeights[criterion] ?? 1)}
            onChange={(id) => weigh(criterion, Number(id))}
          />
        </View>
      ))}
    </View>
  );
}
