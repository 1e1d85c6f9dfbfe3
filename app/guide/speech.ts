/** True where this browser has a voice of its own; nothing is fetched for it. */
export const hasVoice = (): boolean => typeof speechSynthesis !== 'undefined' && speechSynthesis.getVoices().some((v) => v.localService);

export function say(text: string): void {
  if (!text || typeof speechSynthesis === 'undefined') return;
  const voice = speechSynthesis.getVoices().find((v) => v.localService && v.lang.startsWith('en')) ?? speechSynthesis.getVoices().find((v) => v.localService);
  if (!voice) return;
  const words = new SpeechSynthesisUtterance(text);
  words.voice = voice;
  words.rate = 0.95;
  speechSynthesis.cancel();
  speechSynthesis.speak(words);
}

export function hush(): void {
  if (typeof speechSynthesis !== 'undefined') speechSynthesis.cancel();
}
