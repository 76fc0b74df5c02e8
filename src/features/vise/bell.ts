import { useEffect, useRef } from 'react';

/** So long a wait's end is told of after it came, ms: a screen that slept hears it once, not all of an evening. */
const LATE_MS = 60_000;
const TONE_HZ = 880;
const TONE_S = 0.35;

function ring(): void {
  const Context = window.AudioContext;
  if (!Context) return;
  const context = new Context();
  const tone = context.createOscillator();
  const loud = context.createGain();
  tone.frequency.value = TONE_HZ;
  loud.gain.setValueAtTime(0.2, context.currentTime);
  loud.gain.exponentialRampToValueAtTime(0.001, context.currentTime + TONE_S);
  tone.connect(loud).connect(context.destination);
  tone.start();
  tone.stop(context.currentTime + TONE_S);
  tone.onended = () => void context.close();
}

/** Rings once at the end of each wait, where it is wanted. `ends` in ms since 1970, by name. */
export function useBell(ends: ReadonlyMap<string, number>, now: number, on: boolean): void {
  const before = useRef(now);
  useEffect(() => {
    const over = [...ends.values()].some((end) => end > before.current && end <= now && now - end < LATE_MS);
    before.current = now;
    if (over && on) ring();
  }, [ends, now, on]);
}
