import { useState } from 'react';
import { View } from 'react-native';
import { useSpeech, useWords } from '@/features/shell';
import { Explained, Say } from '@/ui/primitives';
import { TermDrawing } from './term-drawing';
import { TERMS, type TermId } from './terms';

/** What a term means, in one sentence, and drawn where it can be. */
function TermSaid({ id }: { id: TermId }) {
  const words = useWords();
  const drawn = TERMS[id];
  const says = words(`glossary.terms.${id}.says`);
  return (
    <View className="gap-2">
      <Say size="small">{says}</Say>
      {drawn ? <TermDrawing drawn={drawn} label={says} /> : null}
    </View>
  );
}

/** A word that explains itself when it is tapped; `children` are the words as they stand here. */
export function Term({ id, children }: { id: TermId; children: string }) {
  const words = useWords();
  const speech = useSpeech();
  const [open, setOpen] = useState(false);
  return (
    <View className="items-start">
      <Explained
        word
        spoken={speech.sentences([children, words('glossary.what')])}
        open={open}
        onToggle={() => setOpen(!open)}
      >
        <Say size="small" tone="soft">
          {children}
        </Say>
      </Explained>
      {open ? (
        <View aria-live="polite" className="max-w-[320px] py-2">
          <TermSaid id={id} />
        </View>
      ) : null}
    </View>
  );
}

/** The terms of what stands above that a newcomer asks for, each by its name. */
export function Terms({ ids }: { ids: readonly TermId[] }) {
  const words = useWords();
  return (
    <View className="flex-row flex-wrap gap-x-5">
      {ids.map((id) => (
        <Term key={id} id={id}>
          {words(`glossary.terms.${id}.name`)}
        </Term>
      ))}
    </View>
  );
}
