import { useEffect, useState, useSyncExternalStore } from 'react';
import { Button } from 'react-bootstrap';
import {
  commandKeys,
  COMMANDS,
  keyWords,
  onCommandKeys,
  setCommandKey,
  setUsualKeys,
  type CommandId,
} from './commands';

/** The commands of a run with their keys, each of which can be another one on this device. */
export function CommandTable() {
  const keys = useSyncExternalStore(onCommandKeys, commandKeys, commandKeys);
  const [waiting, setWaiting] = useState<CommandId | null>(null);
  useEffect(() => {
    if (!waiting) return;
    const onKey = (event: KeyboardEvent) => {
      if (['Tab', 'Shift', 'Control', 'Alt', 'Meta'].includes(event.key)) return;
      event.preventDefault();
      event.stopPropagation();
      if (event.key !== 'Escape' && event.key !== '?') setCommandKey(waiting, event.key);
      setWaiting(null);
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, [waiting]);
  return (
    <>
      <table className="table table-sm">
        <tbody>
          {COMMANDS.map(({ id, words }) => (
            <tr key={id}>
              <th scope="row">
                {keys[id].map((k) => (
                  <kbd key={k} className="me-1">
                    {keyWords(k)}
                  </kbd>
                ))}
                {!keys[id].length && <span className="soft">no key</span>}
              </th>
              <td>{words}</td>
              <td className="text-end">
                <Button
                  variant="link"
                  size="sm"
                  aria-label={`Another key for: ${words}`}
                  onClick={() => setWaiting(id)}
                >
                  {waiting === id ? 'Press a key …' : 'Another key'}
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small">
        A pedal that sends keys works like them.{' '}
        <Button variant="link" size="sm" className="p-0 align-baseline" onClick={setUsualKeys}>
          The usual keys again
        </Button>
      </p>
    </>
  );
}
