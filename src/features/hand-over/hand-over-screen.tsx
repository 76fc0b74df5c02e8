import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { canSeal, handOverOf, type HandOver } from '@/records/hand-over';
import { Page, useWords } from '@/features/shell';
import { Field, Heading, Say } from '@/ui/primitives';
import { Receive } from './receive';
import { Send } from './send';

/** The code that this page was opened with; it is taken out of the address, so that it is not kept in the history. */
function useOpenedWith(): HandOver | null {
  const [to] = useState(() => handOverOf(window.location.hash));
  useEffect(() => {
    if (to) window.history.replaceState(window.history.state, '', window.location.pathname);
  }, [to]);
  return to;
}

/** From one device to another without an account: opened by the other's code it sends, else it shows a code and waits. */
export function HandOverScreen() {
  const words = useWords();
  const opened = useOpenedWith();
  const [pasted, setPasted] = useState('');
  const sealed = canSeal();
  const fromText = pasted.includes('#') ? handOverOf(pasted.slice(pasted.indexOf('#'))) : null;
  const to = opened ?? fromText;
  return (
    <Page
      back={{ href: '/shelf/data', label: words('shelf.data') }}
      title={words(opened ? 'hand-over.send-title' : 'hand-over.title')}
      lead={words(opened ? 'hand-over.send-lead' : 'hand-over.lead')}
    >
      <View className="gap-8 px-5">
        {sealed ? null : <Say tone="dawn">{words('hand-over.insecure')}</Say>}
        {opened || !sealed ? null : (
          <View className="gap-2">
            <Heading size="small">{words('hand-over.receive')}</Heading>
            <Receive />
          </View>
        )}
        <View className="gap-2">
          {opened ? null : <Heading size="small">{words('hand-over.send-title')}</Heading>}
          {opened || !sealed ? null : (
            <View className="flex-row">
              <Field
                label={words('hand-over.paste')}
                value={pasted}
                onType={setPasted}
                hint={words('hand-over.paste-hint')}
                error={pasted !== '' && !fromText ? words('hand-over.paste-wrong') : null}
              />
            </View>
          )}
          <Send to={sealed ? to : null} />
        </View>
      </View>
    </Page>
  );
}
