import { useEffect, useMemo, useRef, useState } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import { columnsOf, findModels, readPacketLine, readPastedPackets, type NamedModel } from '@/core/hooks';
import { reason, type Coded } from '@/core/code';
import type { NewModel, PacketsIn } from '@/records';
import { selectHooks, selectOwned, useApp } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Chips, Say, Stepper, Toggle } from '@/ui/primitives';
import { MakeModel } from './make-model';
import { madeId, useDrawer } from './use-drawer';

interface PadModel extends NamedModel {
  sizes: readonly string[];
}

/** Models of the catalogue by name, with the sizes they stock. */
function useModels(): PadModel[] {
  const hooks = useApp(selectHooks);
  return useMemo(() => {
    const { hooks: rows, starts } = columnsOf(hooks);
    return [...starts.slice(0, -1)].map((start, index) => ({
      id: `${rows[start]!.maker}:${rows[start]!.model}`,
      makerName: rows[start]!.makerName,
      modelName: rows[start]!.modelName,
      sizes: rows.slice(start, starts[index + 1]).map((hook) => hook.size),
    }));
  }, [hooks]);
}

const USUAL = 25;
const COUNTS = ['5', '10', '25', '50', '100'] as const;
const OFFERED = 4;
const RECENT = 6;

/** What a line means: packets, or why it means none. */
type Meant = { packets: PacketsIn; name: string; fault: null } | { packets: null; name: string; fault: Coded };

/** The packet pad: one line a packet, by keyboard or by thumb; the next line stays with the same maker and model. */
export function PacketPad() {
  const words = useWords();
  const speech = useSpeech();
  const drawer = useDrawer();
  const models = useModels();
  const owned = useApp(selectOwned);
  const [text, setText] = useState('');
  const [modelId, setModelId] = useState<string | null>(null);
  const [usual, setUsual] = useState(USUAL);
  const [fault, setFault] = useState<Coded | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const [pasted, setPasted] = useState<readonly string[]>([]);
  const [making, setMaking] = useState<NewModel | null>(null);
  const [picked, setPicked] = useState<Record<string, number>>({});
  const input = useRef<TextInput>(null);

  const current = models.find((model) => model.id === modelId) ?? null;
  const line = readPacketLine(text);
  const offered = line.words === '' ? [] : findModels(line.words, models).slice(0, OFFERED);
  const recent = useMemo(
    () =>
      [...new Set([...(modelId ? [modelId] : []), ...Object.keys(owned).map((id) => id.slice(0, id.lastIndexOf(':')))])]
        .flatMap((id) => models.find((model) => model.id === id) ?? [])
        .slice(0, RECENT),
    [modelId, models, owned],
  );

  const nameOf = (model: NamedModel) => `${model.makerName} ${model.modelName}`;
  const meant = (written: string, stays: PadModel | null): Meant => {
    const first = readPacketLine(written);
    const model = first.words === '' ? stays : (findModels(first.words, models)[0] ?? null);
    if (!model) return { packets: null, name: '', fault: reason('packet-model', { got: first.words }) };
    const read = readPacketLine(written, model.sizes);
    const wrong = read.faults[0] ?? (read.sizes.length === 0 ? reason('packet-sizes') : null);
    if (wrong) return { packets: null, name: nameOf(model), fault: wrong };
    return {
      packets: {
        modelId: model.id,
        made: null,
        sizes: read.sizes.map(({ size, count }) => ({ size, count: count ?? usual })),
      },
      name: nameOf(model),
      fault: null,
    };
  };
  const say = (packets: PacketsIn, name: string) => setDone(words('packets.added', { name, sizes: sizesIn(packets) }));
  const enter = () => {
    if (text.trim() === '') return;
    const result = meant(text, current);
    if (result.fault) {
      // Words alone, of a model that is there, make it the one that the next sizes are of.
      if (result.fault.code === 'packet-sizes' && line.words !== '') {
        setModelId(findModels(line.words, models)[0]!.id);
        setText('');
        setFault(null);
        return;
      }
      setFault(result.fault);
      return;
    }
    drawer.put([result.packets]);
    say(result.packets, result.name);
    setModelId(result.packets.modelId);
    setText('');
    setFault(null);
  };
  const paste = (lines: readonly string[]) => {
    let stays = current;
    const results = lines.map((written) => {
      const result = meant(written, stays);
      if (result.packets) stays = models.find((model) => model.id === result.packets.modelId) ?? stays;
      return { written, ...result };
    });
    const good = results.flatMap((result) => (result.packets ? [result.packets] : []));
    if (good.length > 0) drawer.put(good);
    setPasted(results.filter((result) => result.fault).map((result) => result.written));
    setModelId(stays?.id ?? null);
    setText('');
    setFault(results.find((result) => result.fault)?.fault ?? null);
    setDone(words('packets.pasted', { count: good.reduce((sum, packets) => sum + packets.sizes.length, 0) }));
  };
  // A field of one line loses line breaks when it is pasted into: they are read before it does.
  const pasteLines = useRef(paste);
  useEffect(() => {
    pasteLines.current = paste;
  });
  useEffect(() => {
    const node = input.current as unknown as HTMLElement | null;
    const onPaste = (event: ClipboardEvent) => {
      const clip = event.clipboardData?.getData('text/plain') ?? '';
      if (!/[\n\t]/.test(clip.trim())) return;
      event.preventDefault();
      pasteLines.current(readPastedPackets(clip));
    };
    node?.addEventListener('paste', onPaste);
    return () => node?.removeEventListener('paste', onPaste);
  }, []);
  const ahead = text.trim() === '' ? null : meant(text, current);
  const unknown = line.words !== '' && offered.length === 0;
  const chosen = Object.entries(picked);
  return (
    <View className="gap-4 border-y border-line bg-plane px-5 py-4">
      <View className="gap-1">
        <Say size="small" tone="soft">
          {current ? words('packets.of-model', { model: nameOf(current) }) : words('packets.line')}
        </Say>
        <View className="flex-row gap-3">
          <View
            className={`min-h-target min-w-0 flex-1 justify-center rounded-control border bg-ground px-3 ${fault ? 'border-dawn' : 'border-edge'}`}
          >
            <TextInput
              ref={input}
              aria-label={words('packets.line')}
              aria-invalid={fault ? true : undefined}
              value={text}
              autoComplete="off"
              autoFocus
              autoCapitalize="none"
              blurOnSubmit={false}
              placeholder={current ? words('packets.example-sizes') : words('packets.example')}
              className="py-2 font-mono text-body text-ink"
              onChangeText={(next) => {
                setText(next);
                setFault(null);
                setDone(null);
              }}
              onSubmitEditing={enter}
            />
          </View>
          <Button kind="main" label={words('packets.put')} onPress={enter} />
        </View>
        {fault ? (
          <Say live size="small" tone="dawn">
            {speech.say(fault, 'fault')}
          </Say>
        ) : done ? (
          <Say live size="small" tone="sedge">
            {done}
          </Say>
        ) : (
          <Say size="small" tone={ahead?.packets ? 'ink' : 'soft'}>
            {ahead?.packets
              ? words('packets.means', { name: ahead.name, sizes: sizesIn(ahead.packets) })
              : words('packets.hint')}
          </Say>
        )}
        {pasted.map((written, index) => (
          <Button
            key={index}
            kind="quiet"
            label={words('packets.mend', { line: written })}
            className="-ml-4 self-start"
            onPress={() => {
              setText(written);
              setPasted(pasted.filter((_, at) => at !== index));
              input.current?.focus();
            }}
          />
        ))}
      </View>
      {offered.length > 0 || (current === null && line.words === '' && recent.length > 0) ? (
        <View role="group" aria-label={words('packets.models')} className="flex-row flex-wrap gap-3">
          {(offered.length > 0 ? offered : recent).map((model, index) => (
            <Pressable
              key={model.id}
              role="button"
              aria-label={nameOf(model)}
              onPress={() => {
                setModelId(model.id);
                setText('');
                setPicked({});
                setFault(null);
                input.current?.focus();
              }}
              className={`min-h-target justify-center rounded-control border px-3 ${offered.length > 0 && index === 0 ? 'border-river' : 'border-edge'}`}
            >
              <Say size="small" weight={offered.length > 0 && index === 0 ? 'strong' : 'sans'}>
                {nameOf(model)}
              </Say>
            </Pressable>
          ))}
        </View>
      ) : null}
      {unknown && !making ? (
        <Button
          label={words('packets.make', { name: line.words })}
          className="self-start"
          onPress={() => {
            const [makerName = '', ...rest] = line.words.split(' ');
            setMaking({
              makerName: capital(makerName),
              modelName: rest.map(capital).join(' '),
              bend: 'round',
              xLong: 0,
            });
            setFault(null);
          }}
        />
      ) : null}
      {making ? (
        <MakeModel
          model={making}
          onChange={setMaking}
          onDone={() => {
            const id = madeId(making);
            const read = readPacketLine(text);
            drawer.put([
              {
                modelId: id,
                made: making,
                sizes: read.sizes.map(({ size, count }) => ({ size, count: count ?? usual })),
              },
            ]);
            setModelId(id);
            setMaking(null);
            setText('');
            setFault(null);
            setDone(words('packets.made', { name: `${making.makerName} ${making.modelName}` }));
            input.current?.focus();
          }}
          onLeave={() => setMaking(null)}
        />
      ) : null}
      {current && text === '' ? (
        <View className="gap-3">
          <View
            role="group"
            aria-label={words('packets.sizes-of', { model: nameOf(current) })}
            className="flex-row flex-wrap gap-3"
          >
            {current.sizes.map((size) => (
              <Toggle
                key={size}
                label={size}
                spoken={words('packets.size', { size })}
                on={size in picked}
                onChange={(on) =>
                  setPicked(
                    on ? { ...picked, [size]: usual } : Object.fromEntries(chosen.filter(([other]) => other !== size)),
                  )
                }
              />
            ))}
          </View>
          <Chips
            compact
            label={words('packets.count-each')}
            choices={COUNTS.map((id) => ({ id: id as string, label: `×${id}` }))}
            value={String(usual)}
            onChange={(id) => {
              setUsual(Number(id));
              setPicked(Object.fromEntries(chosen.map(([size]) => [size, Number(id)])));
            }}
          />
          {chosen.map(([size, count]) => (
            <View key={size} className="flex-row items-center justify-between">
              <Say weight="medium">{words('packets.size', { size })}</Say>
              <Stepper
                label={words('packets.hooks-of', { size })}
                value={count}
                low={1}
                high={9999}
                onChange={(value) => setPicked({ ...picked, [size]: value })}
              />
            </View>
          ))}
          <View className="flex-row flex-wrap gap-3">
            {chosen.length > 0 ? (
              <Button
                kind="main"
                label={words('packets.put-n', { count: chosen.length })}
                onPress={() => {
                  const packets = {
                    modelId: current.id,
                    made: null,
                    sizes: chosen.map(([size, count]) => ({ size, count })),
                  };
                  drawer.put([packets]);
                  say(packets, nameOf(current));
                  setPicked({});
                }}
              />
            ) : null}
            <Button
              kind="quiet"
              label={words('packets.other-model')}
              onPress={() => {
                setModelId(null);
                setPicked({});
                input.current?.focus();
              }}
            />
          </View>
        </View>
      ) : null}
    </View>
  );
}

function sizesIn({ sizes }: PacketsIn): string {
  return sizes.map(({ size, count }) => `${size} ×${count}`).join(', ');
}

function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}
