/** Speaks with a voice of this machine's own, where there is one; nothing is fetched for it. */
export function say(text: string): void {
  if (!text || typeof speechSynthesis === 'undefined') return;
  const voice =
    speechSynthesis.getVoices().find((v) => v.localService && v.lang.startsWith('en')) ??
    speechSynthesis.getVoices().find((v) => v.localService);
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
