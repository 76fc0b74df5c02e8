import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { G, Line } from 'react-native-svg';
import { flyPartMm, type FlyMeasure, type FlyPart } from '@/core/photo/fly/measure-fly';
import type { ImagePoint } from '@/core/photo/card';
import { checklistOf, judged, soughtOf, type ToMeasure } from '@/core/session';
import type { Card } from '@/core/tying';
import { hasDemo } from '@/records';
import { selectDevice, useApp } from '@/state';
import { SampleFly } from '@/features/demo';
import { chooseFile } from '@/features/files';
import { PictureBoard, usePictureInk } from '@/features/photo/screens';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Say, WordLink } from '@/ui/primitives';
import { run, type Jobs } from '@/workers';
import { partTitle } from './names';

type Answer = Jobs['fly-photo']['output'];

type Work =
  | { at: 'rest' }
  | { at: 'work'; done: number }
  | { at: 'refused'; code: string | null }
  | { at: 'found'; measure: FlyMeasure; crop: NonNullable<Answer['crop']> };

/** A length taken from a photograph. */
export interface PhotoLength {
  measure: ToMeasure;
  mm: number;
}

/** A finished fly on the field card: its hook is the axis, ends of its parts are proposed where they are plain and moved by hand. */
export function FlyPhoto({ card, onTake }: { card: Card; onTake: (lengths: PhotoLength[]) => void }) {
  const words = useWords();
  const { printedScale } = useApp(selectDevice);
  const demo = useApp((state) => hasDemo(state.records.entities));
  const [work, setWork] = useState<Work>({ at: 'rest' });
  const stopping = useRef<AbortController | null>(null);
  useEffect(() => () => stopping.current?.abort(), []);
  const measure = async (file: Blob) => {
    const stop = new AbortController();
    stopping.current = stop;
    setWork({ at: 'work', done: 0 });
    try {
      const { measure: found, crop } = await run(
        'fly-photo',
        { file, sought: soughtOf(card), printedScale },
        { signal: stop.signal, onProgress: (done) => setWork({ at: 'work', done }) },
      );
      setWork(
        found.refused || !crop
          ? { at: 'refused', code: found.refused?.code ?? null }
          : { at: 'found', measure: found, crop },
      );
    } catch (error) {
      setWork((error as Error).name === 'AbortError' ? { at: 'rest' } : { at: 'refused', code: null });
    }
  };
  const choose = async () => {
    const file = await chooseFile('image/*', 'environment');
    if (file) await measure(file);
  };
  return (
    <View className="gap-3 px-5 pb-4">
      {work.at === 'found' ? (
        <Found key={work.crop.url} card={card} measure={work.measure} crop={work.crop} onTake={onTake} />
      ) : (
        <>
          <Say size="small" tone="soft">
            {words('fly-photo.how')}
          </Say>
          <WordLink small to="/shelf/field-card">
            {words('fly-photo.card')}
          </WordLink>
        </>
      )}
      {work.at === 'refused' ? (
        <Say live tone="dawn">
          {words(`fly-photo.refused.${work.code ?? 'failed'}`)}
        </Say>
      ) : null}
      {work.at === 'work' ? (
        <View className="flex-row items-center gap-4">
          <Say live>{words('fly-photo.work', { percent: Math.round(100 * work.done) })}</Say>
          <Button kind="quiet" label={words('vise.timer-off')} onPress={() => stopping.current?.abort()} />
        </View>
      ) : (
        <View className="gap-2">
          <Button
            label={words(work.at === 'rest' ? 'fly-photo.take' : 'fly-photo.again')}
            onPress={() => void choose()}
            className="self-start"
          />
          {demo ? <SampleFly onChoose={(picture) => void measure(picture)} /> : null}
        </View>
      )}
    </View>
  );
}

const ENDS = ['from', 'to'] as const;
/** Arrow keys move an end by so much, mm. */
const STEP_MM = 0.05;

/** What was found over its picture: one part at a time is moved, each has its length beside what the card says. */
function Found({
  card,
  measure,
  crop,
  onTake,
}: {
  card: Card;
  measure: FlyMeasure;
  crop: NonNullable<Answer['crop']>;
  onTake: (lengths: PhotoLength[]) => void;
}) {
  const words = useWords();
  const speech = useSpeech();
  const ink = usePictureInk();
  const [parts, setParts] = useState<readonly FlyPart[]>(measure.parts);
  const [moved, setMoved] = useState<ReadonlySet<string>>(new Set());
  const [chosen, setChosen] = useState(measure.parts[0]?.id ?? '');
  const [taken, setTaken] = useState(false);
  const wanted = useMemo(() => new Map(checklistOf(card).measures.map((own) => [own.part, own])), [card]);
  const known = (part: FlyPart) => part.sure || moved.has(part.id);
  const open = parts.filter((part) => !known(part)).length;
  const now = parts.find(({ id }) => id === chosen);
  const name = (id: string) => partTitle(card, id, speech);
  const move = (handle: string, to: ImagePoint) => {
    setParts(parts.map((part) => (part.id === chosen ? { ...part, [handle]: to } : part)));
    setMoved(new Set([...moved, chosen]));
    setTaken(false);
  };
  const verdict = (part: FlyPart) => {
    const own = wanted.get(part.id);
    if (!own) return '';
    if (!known(part)) return words('fly-photo.by-hand');
    const mm = flyPartMm(part, measure.scale);
    const is = judged(own, mm);
    return speech.beside([
      words('fly-photo.length', { mm: speech.length(mm), wanted: speech.length(own.targetMm) }),
      words(`fly-photo.is.${is.is}`, { percent: Math.round(Math.abs(100 * is.off)) }),
    ]);
  };
  return (
    <View className="gap-3">
      <PictureBoard
        url={crop.url}
        world={{ left: crop.leftMm, top: crop.topMm, width: crop.widthMm, height: crop.heightMm }}
        label={words('fly-photo.picture', { fly: card.dressing.name })}
        step={STEP_MM}
        handles={
          now
            ? ENDS.map((end) => ({
                id: end,
                label: words(`fly-photo.end.${end}`, { part: name(now.id) }),
                at: now[end],
              }))
            : []
        }
        onMove={move}
      >
        {(place) => (
          <G>
            {measure.axis ? (
              <Mark a={place(measure.axis[0])} b={place(measure.axis[1])} colour={ink.line} thin />
            ) : null}
            {parts.map((part) =>
              part.id === chosen || known(part) ? (
                <Mark
                  key={part.id}
                  a={place(part.from)}
                  b={place(part.to)}
                  colour={ink.line}
                  casing={ink.casing}
                  thin={part.id !== chosen}
                />
              ) : null,
            )}
          </G>
        )}
      </PictureBoard>
      <Choose
        label={words('fly-photo.which')}
        choices={parts.map(({ id }) => ({ id, label: name(id) }))}
        value={chosen}
        onChange={setChosen}
      />
      <View role="list" aria-label={words('vise.lengths')} className="border-t border-line">
        {parts.map((part) => (
          <View key={part.id} role="listitem" className="border-b border-line py-2">
            <Say weight="medium">{name(part.id)}</Say>
            <Say size="small" tone={known(part) ? 'ink' : 'straw'}>
              {verdict(part)}
            </Say>
          </View>
        ))}
      </View>
      <Say size="small" tone="soft">
        {words(open > 0 ? 'fly-photo.open' : 'fly-photo.all', { count: open })}
      </Say>
      <Button
        label={words('fly-photo.keep', { count: parts.length - open })}
        disabled={open === parts.length || taken}
        onPress={() => {
          setTaken(true);
          onTake(
            parts.flatMap((part) => {
              const own = wanted.get(part.id);
              return own && known(part) ? [{ measure: own, mm: flyPartMm(part, measure.scale) }] : [];
            }),
          );
        }}
        className="self-start"
      />
      {taken ? (
        <Say live size="small" tone="sedge">
          {words('fly-photo.kept')}
        </Say>
      ) : null}
    </View>
  );
}

function Mark({
  a,
  b,
  colour,
  casing,
  thin = false,
}: {
  a: ImagePoint;
  b: ImagePoint;
  colour: string;
  casing?: string;
  thin?: boolean;
}) {
  return (
    <G>
      {casing ? <Line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} stroke={casing} strokeWidth={thin ? 3 : 5} /> : null}
      <Line
        x1={a[0]}
        y1={a[1]}
        x2={b[0]}
        y2={b[1]}
        stroke={colour}
        strokeWidth={thin ? 1.5 : 2.5}
        strokeDasharray={casing ? undefined : '4 4'}
      />
    </G>
  );
}
