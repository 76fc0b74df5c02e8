import { useState } from 'react';
import { View } from 'react-native';
import type { Dressing } from '@/core/dressings';
import { foundBy } from '@/speech/found-by';
import { useApp } from '@/state';
import { selectCardOf, selectCatalogue } from '@/state/answering';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { FlyThumb } from '@/ui/drawings';
import { Button, Field, InView, Row, Say } from '@/ui/primitives';

/** As many as fit a phone under the field; a word finds the others sooner than a thumb. */
const SHOWN = 8;

interface PickDressingProps {
  value: Dressing | null;
  /** Dressings that lie in the box already, offered first. */
  recent: readonly string[];
  onChange: (id: string | null) => void;
}

/** A dressing of the library by name or stage; those of this box stand first. */
export function PickDressing({ value, recent, onChange }: PickDressingProps) {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  const { dressings } = useApp(selectCatalogue);
  const cardOf = useApp(selectCardOf);
  const [sought, setSought] = useState('');
  const [all, setAll] = useState(false);
  if (value) {
    return (
      <View className="flex-row items-center gap-3 border-y border-line py-2">
        <FlyThumb card={cardOf(value.id)} width={64} height={48} plain={red} />
        <Say weight="serif" size="lead" className="min-w-0 flex-1">
          {value.name}
        </Say>
        <Button label={words('box.change')} onPress={() => onChange(null)} />
      </View>
    );
  }
  const found = dressings.filter((dressing) => {
    const stages = dressing.stages.map((stage) => speech.plain('stages', stage));
    return sought.trim() === '' || foundBy([dressing.name, ...stages].join(' '), sought);
  });
  const inOrder = [...found].sort((a, b) => Number(recent.includes(b.id)) - Number(recent.includes(a.id)));
  const shown = all ? inOrder : inOrder.slice(0, SHOWN);
  const more = inOrder.length - shown.length;
  return (
    <View className="gap-3">
      <Field
        label={words('box.find-dressing')}
        value={sought}
        onType={(text) => {
          setSought(text);
          setAll(false);
        }}
      />
      {inOrder.length === 0 ? <Say tone="soft">{words('box.no-dressing')}</Say> : null}
      <View className="border-t border-line">
        {shown.map((dressing) => (
          <Row key={dressing.id} wide={false} onPress={() => onChange(dressing.id)}>
            <InView width={64} height={46}>
              <Picture id={dressing.id} />
            </InView>
            <View className="min-w-0 flex-1">
              <Say weight="medium">{dressing.name}</Say>
              <Say size="small" tone="soft">
                {speech.list(dressing.stages.map((stage) => speech.plain('stages', stage)))}
              </Say>
            </View>
          </Row>
        ))}
      </View>
      {more > 0 ? (
        <Button
          kind="quiet"
          tall
          label={words('box.more-dressings', { count: more })}
          onPress={() => setAll(true)}
          className="-ml-4 self-start"
        />
      ) : null}
    </View>
  );
}

/** Made when it comes near the screen: a card is worked out for it. */
function Picture({ id }: { id: string }) {
  const red = useRedLamp();
  const cardOf = useApp(selectCardOf);
  return <FlyThumb card={cardOf(id)} width={64} height={46} plain={red} />;
}
