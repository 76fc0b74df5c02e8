import { useState } from 'react';
import { View } from 'react-native';
import { Page, useWords } from '@/features/shell';
import { Field, Fold, Say } from '@/ui/primitives';
import { TermDrawing } from './term-drawing';
import { TERM_IDS, TERMS } from './terms';

/** Every word that wants a sentence, found as one types. */
export function GlossaryScreen() {
  const words = useWords();
  const [text, setText] = useState('');
  const terms = TERM_IDS.map((id) => ({
    id,
    name: words(`glossary.terms.${id}.name`),
    says: words(`glossary.terms.${id}.says`),
  }))
    .filter(({ name, says }) => `${name} ${says}`.toLowerCase().includes(text.trim().toLowerCase()))
    .sort((a, b) => a.name.localeCompare(b.name));
  return (
    <Page
      back={{ href: '/shelf', label: words('place.shelf') }}
      title={words('shelf.words')}
      lead={words('glossary.lead')}
    >
      <View className="px-5 pb-3">
        <Field label={words('glossary.search')} value={text} onType={setText} />
      </View>
      {terms.length === 0 ? (
        <Say live tone="soft" className="px-5">
          {words('glossary.none')}
        </Say>
      ) : null}
      <View className="border-t border-line">
        {terms.map(({ id, name, says }) =>
          TERMS[id] ? (
            <Fold key={id} wide title={name} line={says}>
              <TermDrawing drawn={TERMS[id]} label={says} />
            </Fold>
          ) : (
            <View key={id} role="group" aria-label={name} className="border-b border-line px-5 py-2">
              <Say weight="medium">{name}</Say>
              <Say size="small" tone="soft">
                {says}
              </Say>
            </View>
          ),
        )}
      </View>
    </Page>
  );
}
