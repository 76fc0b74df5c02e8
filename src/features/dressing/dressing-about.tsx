import { View } from 'react-native';
import { differences, type Dressing } from '@/core/dressings';
import { useSpeech, useWords } from '@/features/shell';
import { Heading, Row, Say, WordLink } from '@/ui/primitives';
import { useApp } from '@/state';
import { selectCatalogue, selectDressings, selectTools } from '@/state/answering';

/** What is said for a dressing, and what each word rests on. */
export function Claims({ dressing }: { dressing: Dressing }) {
  const words = useWords();
  const speech = useSpeech();
  if (dressing.claims.length === 0) return null;
  return (
    <AboutSection title={words('dressing.claims')}>
      {dressing.claims.map((claim) => (
        <View key={claim.text} className="border-b border-line py-2">
          <Say>{claim.text}</Say>
          <Say size="small" tone={claim.evidence === 'tested' ? 'sedge' : 'soft'}>
            {words(`dressing.rests.${claim.evidence}`, { word: speech.plain('evidence', claim.evidence) })}
          </Say>
        </View>
      ))}
    </AboutSection>
  );
}

/** The dressing it was made from, what changed, and what was made from it. */
export function Ancestry({ dressing }: { dressing: Dressing }) {
  const words = useWords();
  const speech = useSpeech();
  const dressings = useApp(selectDressings);
  const { materials } = useApp(selectCatalogue);
  const nameOf = (id: string | null) => materials.find((material) => material.id === id)?.name ?? id ?? '';
  const parent = dressings.find((item) => item.id === dressing.parent);
  const children = dressings.filter((item) => item.parent === dressing.id);
  if (!parent && children.length === 0) return null;
  // What was written down when it was made; for one of the tier's own, what differs now.
  const changes =
    dressing.changes.length > 0 || !parent
      ? dressing.changes.map((change) => change.text)
      : differences(parent, dressing).map((item) =>
          words(`dressing.changed.${item.kind}`, {
            part: speech.plain(
              'parts',
              dressing.parts.find((part) => part.id === item.part)?.part ??
                parent.parts.find((part) => part.id === item.part)?.part ??
                '',
            ),
            from: item.kind === 'material' ? nameOf(item.from) : (item.from ?? ''),
            to: item.kind === 'material' ? nameOf(item.to) : (item.to ?? ''),
          }),
        );
  return (
    <AboutSection title={words('dressing.ancestry')}>
      {parent ? (
        <View className="border-b border-line py-2">
          <WordLink to={{ pathname: '/dressings/[id]', params: { id: parent.id } }}>
            {words('dressing.parent', { parent: parent.name })}
          </WordLink>
          {changes.map((change) => (
            <Say key={change} size="small">
              {change}
            </Say>
          ))}
          {changes.length === 0 ? (
            <Say size="small" tone="soft">
              {words('dressing.unchanged')}
            </Say>
          ) : null}
        </View>
      ) : null}
      {children.map((child) => (
        <Row key={child.id} wide={false} to={{ pathname: '/dressings/[id]', params: { id: child.id } }}>
          <Say weight="medium" tone="river">
            {words('dressing.child', { name: child.name })}
          </Say>
        </Row>
      ))}
    </AboutSection>
  );
}

/** What can be changed at the water before another fly is put on. */
export function OnTheBank({ dressing }: { dressing: Dressing }) {
  const words = useWords();
  return (
    <Lines
      title={words('dressing.bank')}
      rows={dressing.bank.map((item) => [item.text, item.ride ? words(`dressing.rides.${item.ride}`) : null])}
    />
  );
}

/** Every tool it needs, and how to do without. */
export function Tools({ dressing }: { dressing: Dressing }) {
  const words = useWords();
  const tools = useApp(selectTools);
  const known = (id: string) => tools.find((item) => item.id === id);
  return (
    <Lines
      title={words('dressing.tools')}
      rows={dressing.tools.map((id) => [
        known(id)?.name ?? id,
        known(id) ? words('dressing.without', { how: known(id)!.without }) : null,
      ])}
    />
  );
}

/** Lines with what is said to each below it; nothing where there are none. */
function Lines({ title, rows }: { title: string; rows: readonly (readonly [string, string | null])[] }) {
  if (rows.length === 0) return null;
  return (
    <AboutSection title={title}>
      {rows.map(([text, below]) => (
        <View key={text} className="border-b border-line py-2">
          <Say>{text}</Say>
          {below ? (
            <Say size="small" tone="soft">
              {below}
            </Say>
          ) : null}
        </View>
      ))}
    </AboutSection>
  );
}

/** A part of the page with its heading. */
export function AboutSection({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <View className="px-5 pb-6">
      <Heading className="border-b border-line pb-2">{title}</Heading>
      {children}
    </View>
  );
}
