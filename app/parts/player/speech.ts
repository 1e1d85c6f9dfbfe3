import { useEffect, useState } from 'react';

const isThere = (): boolean => typeof speechSynthesis !== 'undefined';

/** Voices of this machine’s own, those of the page’s language first; nothing is fetched for one. */
function localVoices(): SpeechSynthesisVoice[] {
  const own = isThere() ? speechSynthesis.getVoices().filter((v) => v.localService) : [];
  return [...own.filter((v) => v.lang.startsWith('en')), ...own.filter((v) => !v.lang.startsWith('en'))];
}

export interface Speaking {
  /** 0 to 1. */
  volume: number;
  /** Name of a voice; empty for the first. */
  voiceName: string;
  /** Keeps silent while something else is said: a count gives way to an announcement. */
  givesWay?: boolean;
}
/** Says a text, in place of what is being said. */
export function say(text: string, { volume, voiceName, givesWay }: Speaking): void {
  if (!text || volume <= 0) return;
  const voices = localVoices();
  const voice = voices.find((v) => v.name === voiceName) ?? voices[0];
  if (!voice || (givesWay && speechSynthesis.speaking)) return;
  const words = new SpeechSynthesisUtterance(text);
  words.voice = voice;
  words.volume = volume;
  words.rate = 0.95;
  speechSynthesis.cancel();
  speechSynthesis.speak(words);
}

export function hush(): void {
  if (isThere()) speechSynthesis.cancel();
}

/** Names of the voices there are; some browsers know them only a moment after the page is there. */
export function useVoices(): string[] {
  const [names, setNames] = useState<string[]>([]);
  useEffect(() => {
    if (!isThere()) return;
    const look = () => setNames(localVoices().map((v) => v.name));
    look();
    speechSynthesis.addEventListener?.('voiceschanged', look);
    return () => speechSynthesis.removeEventListener?.('voiceschanged', look);
  }, []);
  return names;
}
