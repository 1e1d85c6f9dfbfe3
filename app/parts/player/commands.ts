/** Everything that can be done in a run: one list for touch, keys and pedal. */
export const COMMANDS = [
  { id: 'toggle', words: 'start, pause, go on', keys: [' '] },
  { id: 'go-on', words: 'what was waited for has come: go on', keys: ['Enter'] },
  { id: 'next', words: 'next step', keys: ['ArrowRight', 'PageDown'] },
  { id: 'back', words: 'back, or the step anew', keys: ['ArrowLeft', 'PageUp'] },
  { id: 'repeat', words: 'the step anew', keys: ['r'] },
  { id: 'extend', words: 'ten seconds more', keys: ['e'] },
  { id: 'lighter', words: 'lighter', keys: ['-'] },
  { id: 'firmer', words: 'firmer', keys: ['=', '+'] },
  { id: 'note', words: 'note', keys: ['n'] },
  { id: 'compare', words: 'compare the sides', keys: ['c'] },
  { id: 'stop', words: 'stop', keys: ['x'] },
] as const;
export type CommandId = (typeof COMMANDS)[number]['id'];
export type CommandKeys = Record<CommandId, readonly string[]>;

const NAME = 'velvet-guide-keys';
const CHANGED = 'velvet-guide-keys-changed';
const USUAL = Object.fromEntries(COMMANDS.map((c) => [c.id, c.keys])) as unknown as CommandKeys;
let known: { text: string | null; keys: CommandKeys } = { text: null, keys: USUAL };

/** Keys in use: the usual ones, or those chosen on this device. */
export function commandKeys(): CommandKeys {
  let text: string | null = null;
  try {
    text = localStorage.getItem(NAME);
    if (text === known.text) return known.keys;
    const chosen = JSON.parse(text ?? '{}') as Partial<Record<CommandId, unknown>>;
    const keys = COMMANDS.map(({ id, keys }) => {
      const own = chosen[id];
      return [id, Array.isArray(own) ? own.filter((k): k is string => typeof k === 'string') : keys];
    });
    known = { text, keys: Object.fromEntries(keys) as CommandKeys };
  } catch {
    // No store, or something else in it: the usual keys act.
    known = { text, keys: USUAL };
  }
  return known.keys;
}

/** Gives a command one key of its own; what had that key before loses it. */
export function setCommandKey(id: CommandId, key: string): void {
  const now = commandKeys();
  keep(Object.fromEntries(COMMANDS.map((c) => [c.id, c.id === id ? [key] : now[c.id].filter((k) => k !== key)])));
}
export const setUsualKeys = (): void => keep({});

function keep(next: Record<string, readonly string[]>): void {
  try {
    localStorage.setItem(NAME, JSON.stringify(next));
  } catch {
    // Without a store the keys stay as they are.
  }
  window.dispatchEvent(new Event(CHANGED));
}

export function onCommandKeys(changed: () => void): () => void {
  window.addEventListener(CHANGED, changed);
  return () => window.removeEventListener(CHANGED, changed);
}

export const commandFor = (key: string): CommandId | null =>
  COMMANDS.find((c) => commandKeys()[c.id].includes(key))?.id ?? null;

const KEY_WORDS: Record<string, string> = {
  ' ': 'space',
  ArrowRight: '→',
  ArrowLeft: '←',
  ArrowUp: '↑',
  ArrowDown: '↓',
  PageDown: 'Page ↓',
  PageUp: 'Page ↑',
};
export const keyWords = (key: string): string => KEY_WORDS[key] ?? key;
