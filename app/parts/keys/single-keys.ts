/** Whether keys without Ctrl or Alt act on a page; some speech input and some hands set them off unawares. Kept on the device. */
const NAME = 'velvet-single-keys';
const CHANGED = 'velvet-single-keys-changed';

export function singleKeysOn(): boolean {
  try {
    return localStorage.getItem(NAME) !== 'off';
  } catch {
    return true;
  }
}

export function setSingleKeys(on: boolean): void {
  try {
    localStorage.setItem(NAME, on ? 'on' : 'off');
  } catch {
    // Without a store the keys stay as they are.
  }
  window.dispatchEvent(new Event(CHANGED));
}

export function onSingleKeys(changed: () => void): () => void {
  window.addEventListener(CHANGED, changed);
  return () => window.removeEventListener(CHANGED, changed);
}
