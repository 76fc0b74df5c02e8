import { View } from 'react-native';
import type { BankChangeId, Evidence, RideId } from '@/catalogue/ids';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Fold, Toggle } from '@/ui/primitives';
import { NeededField, ChoiceField, patchedAt, withoutAt, type EditProps } from './edit-fold';

/** What is said for it, what can be changed on the bank, and the names of its switches. */
export function EditSaid({ dressing, onChange }: EditProps) {
  const speech = useSpeech();
  const { ids } = speech;
  const words = useWords();
  const { claims, bank, switches } = dressing;
  return (
    <View className="border-t border-line">
      <Fold wide title={words('dressing.claims')} line={claims[0]?.text ?? words('edit-dressing.nothing')}>
        {claims.map((claim, index) => (
          <View key={index} className="gap-3 rounded-control border border-edge bg-ground p-3">
            <NeededField
              label={words('edit-dressing.claim', { n: index + 1 })}
              value={claim.text}
              onType={(text) => onChange({ ...dressing, claims: patchedAt(claims, index, { text }) })}
            />
            <ChoiceField
              title={words('dressing.evidence')}
              choices={ids.evidence}
              value={claim.evidence}
              onChange={(evidence: Evidence | null) =>
                evidence && onChange({ ...dressing, claims: patchedAt(claims, index, { evidence }) })
              }
            />
            <View className="flex-row">
              <Button
                label={words('edit-dressing.claim-drop')}
                onPress={() => onChange({ ...dressing, claims: withoutAt(claims, index) })}
              />
            </View>
          </View>
        ))}
        <View className="flex-row">
          <Button
            label={words('edit-dressing.claim-add')}
            onPress={() =>
              onChange({
                ...dressing,
                claims: [...claims, { text: words('edit-dressing.claim-new'), evidence: 'theory' }],
              })
            }
          />
        </View>
      </Fold>
      <Fold
        wide
        title={words('dressing.bank')}
        line={speech.clauses(bank.map((item) => item.text)) || words('edit-dressing.nothing')}
      >
        {bank.map((item, index) => (
          <View key={index} className="gap-3 rounded-control border border-edge bg-ground p-3">
            <ChoiceField
              title={words('edit-dressing.bank-what')}
              choices={ids['bank-changes']}
              value={item.id}
              onChange={(id: BankChangeId | null) =>
                id && onChange({ ...dressing, bank: patchedAt(bank, index, { id }) })
              }
            />
            <NeededField
              label={words('edit-dressing.bank-text', { n: index + 1 })}
              value={item.text}
              onType={(text) => onChange({ ...dressing, bank: patchedAt(bank, index, { text }) })}
            />
            <ChoiceField
              title={words('edit-dressing.bank-ride')}
              choices={ids.rides}
              value={item.ride ?? null}
              none={words('edit-dressing.as-before')}
              onChange={(ride: RideId | null) => onChange({ ...dressing, bank: patchedAt(bank, index, { ride }) })}
            />
            <View className="flex-row">
              <Button
                label={words('edit-dressing.bank-drop')}
                onPress={() => onChange({ ...dressing, bank: withoutAt(bank, index) })}
              />
            </View>
          </View>
        ))}
        <View className="flex-row">
          <Button
            label={words('edit-dressing.bank-add')}
            onPress={() =>
              onChange({
                ...dressing,
                bank: [...bank, { id: 'clip-flat', text: ids['bank-changes'][0]!.name, ride: null }],
              })
            }
          />
        </View>
      </Fold>
      {switches.length > 0 ? (
        <Fold wide title={words('edit-dressing.switches')} line={speech.clauses(switches.map((item) => item.name))}>
          {switches.map((item, index) => (
            <View key={item.id} className="gap-3 rounded-control border border-edge bg-ground p-3">
              <NeededField
                label={words('edit-dressing.switch-name', { n: index + 1 })}
                value={item.name}
                onType={(name) => onChange({ ...dressing, switches: patchedAt(switches, index, { name }) })}
              />
              <NeededField
                label={words('edit-dressing.switch-why', { n: index + 1 })}
                value={item.why}
                onType={(why) => onChange({ ...dressing, switches: patchedAt(switches, index, { why }) })}
              />
              <View className="flex-row flex-wrap gap-2">
                <Toggle
                  label={words('edit-dressing.switch-on')}
                  on={item.on}
                  onChange={(on) => onChange({ ...dressing, switches: patchedAt(switches, index, { on }) })}
                />
                <Toggle
                  label={words('edit-dressing.switch-attracts')}
                  on={item.attracts}
                  onChange={(attracts) => onChange({ ...dressing, switches: patchedAt(switches, index, { attracts }) })}
                />
              </View>
            </View>
          ))}
        </Fold>
      ) : null}
    </View>
  );
}
