import { useEffect } from 'react';

export const canSpeak = () => typeof window !== 'undefined' && 'speechSynthesis' in window;

/** Reads a text by the browser's own voice whenever it changes, where it is wanted; what is still being said stops. */
export function useReadAloud(text: string, on: boolean): void {
  useEffect(() => {
    if (!on || text === '' || !canSpeak()) return;
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
    return () => window.speechSynthesis.cancel();
  }, [text, on]);
}
