/** A page whose frame is put away asks for the help from where it stands. */
const ASKED = 'velvet-help';
export const askForHelp = (): void => void window.dispatchEvent(new Event(ASKED));
export function onHelpAsked(act: () => void): () => void {
  window.addEventListener(ASKED, act);
  return () => window.removeEventListener(ASKED, act);
}
