import { useEffect, useLayoutEffect, useRef } from 'react';
import { isQuiet } from '../keys/keys';
import { commandFor, type CommandId } from './commands';

/** Calls `act` for every key that stands for a command; it says whether the command means something now. */
export function useCommands(act: (command: CommandId, key: string) => boolean): void {
  const latest = useRef(act);
  // Before the screen shows a state, its keys are in place.
  useLayoutEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isQuiet(event)) return;
      const command = commandFor(event.key);
      // A button in focus is pressed by these keys itself.
      const onButton = (event.target as HTMLElement).closest('button, a, summary, [role=button]');
      if (!command || (onButton && (event.key === ' ' || event.key === 'Enter'))) return;
      if (latest.current(command, event.key)) event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
