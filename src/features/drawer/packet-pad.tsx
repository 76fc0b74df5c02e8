import { useEffect, useMemo, useRef, useState, type RefObject } from 'react';
import { View } from 'react-native';
import { readPastedPackets, type NamedModel } from '@/core/hooks';
import type { Coded } from '@/core/code';
import type { NewModel, PacketsIn } from '@/records';
import { useApp } from '@/state';
import { selectOwned } from '@/state/answering';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Entry, Say, Tile, type EntryNode } from '@/ui/primitives';
import { MakeModel } from './make-model';
import { modelsNamed, packetsMeant, sizesOf, useModels, type PadModel } from './packet-line';
import { PacketSizes } from './packet-sizes';
import { madeId, useDrawer } from './use-drawer';

const USUAL = 25;
const RECENT = 6;

const nameOf = (model: NamedModel) => `${model.makerName} ${model.modelName}`;

/** The packet pad: one line a packet, by keyboard or by thumb; the next line stays with the same maker and model. */
export function PacketPad() {
  const words = useWords();
  const drawer = useDrawer();
  const models = useModels();
  const [text, setText] = useState('');
  const [modelId, setModelId] = useState<string | null>(null);
  const [usual, setUsual] = useState(USUAL);
  const [fault, setFault] = useState<Coded | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const [pasted, setPasted] = useState<readonly string[]>([]);
  const [making, setMaking] = useState<NewModel | null>(null);
  const input = useRef<EntryNode>(null);
  const added = useAdded();

  const current = models.find((model) => model.id === modelId) ?? null;
  const { wanted, offered } = modelsNamed(text, models);
  const meant = (written: string, stays: PadModel | null) => packetsMeant(written, { models, stays, usual });
  const stay = (id: string | null, said: { fault?: Coded | null; done?: string | null } = {}) => {
    setModelId(id);
    setText('');
    setFault(said.fault ?? null);
    if (said.done !== undefined) setDone(said.done);
  };
  const enter = () => {
    if (text.trim() === '') return;
    const result = meant(text, current);
    if (result.packets) {
      drawer.put([result.packets]);
      stay(result.packets.modelId, { done: added(result.packets, nameOf(result.model)) });
    }
    // Words alone, of a model that is there, make it the one that the next sizes are of.
    else if (result.model && wanted !== '' && result.fault.code === 'packet-sizes') stay(result.model.id);
    else setFault(result.fault);
  };
  const paste = (lines: readonly string[]) => {
    let stays = current;
    const results = lines.map((written) => {
      const result = meant(written, stays);
      if (result.packets) stays = result.model;
      return { written, ...result };
    });
    const good = results.flatMap((result) => (result.packets ? [result.packets] : []));
    if (good.length > 0) drawer.put(good);
    setPasted(results.filter((result) => result.fault).map((result) => result.written));
    stay(stays?.id ?? null, {
      fault: results.find((result) => result.fault)?.fault,
      done: words('packets.pasted', { count: good.reduce((sum, packets) => sum + packets.sizes.length, 0) }),
    });
  };
  usePastedLines(input, paste);
  const make = (model: NewModel) => {
    const id = madeId(model);
    drawer.put([{ modelId: id, made: model, sizes: sizesOf(text, usual) }]);
    setMaking(null);
    stay(id, { done: words('packets.made', { name: `${model.makerName} ${model.modelName}` }) });
    input.current?.focus();
  };
  return (
    <View className="gap-4 border-y border-line bg-plane px-5 py-4">
      <View className="gap-1">
        <Say size="small" tone="soft">
          {current ? words('packets.of-model', { model: nameOf(current) }) : words('packets.line')}
        </Say>
        <View className="flex-row gap-3">
          <PacketField
            field={input}
            text={text}
            faulty={fault !== null}
            example={words(current ? 'packets.example-sizes' : 'packets.example')}
            onType={(next) => {
              setText(next);
              setFault(null);
              setDone(null);
            }}
            onEnter={enter}
          />
          <Button kind="main" label={words('packets.put')} onPress={enter} />
        </View>
        <LineSaid fault={fault} done={done} ahead={text.trim() === '' ? null : meant(text, current)} />
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
      <ModelsOffered
        models={models}
        offered={wanted === '' ? null : offered}
        current={current}
        onPick={(model) => {
          stay(model.id);
          input.current?.focus();
        }}
      />
      {wanted !== '' && offered.length === 0 && !making ? (
        <Button
          label={words('packets.make', { name: wanted })}
          className="self-start"
          onPress={() => {
            setMaking(newModelOf(wanted));
            setFault(null);
          }}
        />
      ) : null}
      {making ? (
        <MakeModel model={making} onChange={setMaking} onDone={() => make(making)} onLeave={() => setMaking(null)} />
      ) : null}
      {current && text === '' ? (
        <PacketSizes
          key={current.id}
          model={current}
          name={nameOf(current)}
          usual={usual}
          onUsual={setUsual}
          onPut={(packets) => {
            drawer.put([packets]);
            setDone(added(packets, nameOf(current)));
          }}
          onOther={() => {
            setModelId(null);
            input.current?.focus();
          }}
        />
      ) : null}
    </View>
  );
}

/** Sizes and counts of packets, in words. */
function useSizesSaid() {
  const words = useWords();
  const speech = useSpeech();
  return ({ sizes }: PacketsIn) =>
    speech.list(sizes.map(({ size, count }) => words('packets.size-count', { size, count })));
}

function useAdded() {
  const words = useWords();
  const said = useSizesSaid();
  return (packets: PacketsIn, name: string) => words('packets.added', { name, sizes: said(packets) });
}

interface PacketFieldProps {
  field: RefObject<EntryNode | null>;
  text: string;
  faulty: boolean;
  example: string;
  onType: (text: string) => void;
  onEnter: () => void;
}

function PacketField({ field, text, faulty, example, onType, onEnter }: PacketFieldProps) {
  const words = useWords();
  return (
    <Entry
      field={field}
      label={words('packets.line')}
      faulty={faulty}
      value={text}
      figures
      autoFocus
      autoCapitalize="none"
      blurOnSubmit={false}
      placeholder={example}
      onChangeText={onType}
      onSubmitEditing={onEnter}
    />
  );
}

/** What is wrong with the line, what became of the last one, or what this one means. */
function LineSaid({
  fault,
  done,
  ahead,
}: {
  fault: Coded | null;
  done: string | null;
  ahead: ReturnType<typeof packetsMeant> | null;
}) {
  const words = useWords();
  const speech = useSpeech();
  const said = useSizesSaid();
  if (fault)
    return (
      <Say live size="small" tone="dawn">
        {speech.say(fault, 'fault')}
      </Say>
    );
  if (done)
    return (
      <Say live size="small" tone="sedge">
        {done}
      </Say>
    );
  return ahead?.packets ? (
    <Say size="small">{words('packets.means', { name: nameOf(ahead.model), sizes: said(ahead.packets) })}</Say>
  ) : (
    <Say size="small" tone="soft">
      {words('packets.hint')}
    </Say>
  );
}

interface ModelsOfferedProps {
  models: readonly PadModel[];
  /** Those the words fit, best first; null while there are no words. */
  offered: readonly PadModel[] | null;
  current: PadModel | null;
  onPick: (model: PadModel) => void;
}

/** Models that the words fit, and before any words those there are packets of. */
function ModelsOffered({ models, offered, current, onPick }: ModelsOfferedProps) {
  const words = useWords();
  const owned = useApp(selectOwned);
  const recent = useMemo(
    () =>
      [...new Set(Object.keys(owned).map((id) => id.slice(0, id.lastIndexOf(':'))))]
        .flatMap((id) => models.find((model) => model.id === id) ?? [])
        .slice(0, RECENT),
    [models, owned],
  );
  const shown = offered ?? (current === null ? recent : []);
  if (shown.length === 0) return null;
  return (
    <View role="group" aria-label={words('packets.models')} className="flex-row flex-wrap gap-3">
      {shown.map((model, index) => {
        const best = offered !== null && index === 0;
        return (
          <View key={model.id}>
            <Tile across first={best} spoken={nameOf(model)} onPress={() => onPick(model)}>
              <Say size="small" weight={best ? 'strong' : 'sans'}>
                {nameOf(model)}
              </Say>
            </Tile>
          </View>
        );
      })}
    </View>
  );
}

/** A field of one line loses line breaks when it is pasted into: they are read before it does. */
function usePastedLines(field: RefObject<EntryNode | null>, onLines: (lines: readonly string[]) => void) {
  const latest = useRef(onLines);
  useEffect(() => {
    latest.current = onLines;
  });
  useEffect(() => {
    const node = field.current as unknown as HTMLElement | null;
    const onPaste = (event: ClipboardEvent) => {
      const clip = event.clipboardData?.getData('text/plain') ?? '';
      if (!/[\n\t]/.test(clip.trim())) return;
      event.preventDefault();
      latest.current(readPastedPackets(clip));
    };
    node?.addEventListener('paste', onPaste);
    return () => node?.removeEventListener('paste', onPaste);
  }, [field]);
}

/** A model as its packet names it: the maker first. */
function newModelOf(named: string): NewModel {
  const [makerName = '', ...rest] = named.split(' ');
  return { makerName: capital(makerName), modelName: rest.map(capital).join(' '), bend: 'round', xLong: 0 };
}

function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}
