import { useEffect, useState, useSyncExternalStore } from 'react';
import { Button, Form, Modal } from 'react-bootstrap';
import { useLocation } from 'react-router';
import { isQuiet } from './keys';
import { onHelpAsked } from './help';
import { FirstVisit, PressureHelp } from './help-words';
import { CommandTable } from '../player/command-table';
import { onSingleKeys, setSingleKeys, singleKeysOn } from './single-keys';

type Keys = [key: string, what: string][];
const EVERYWHERE: Keys = [
  ['/', 'find a client or a routine'],
  ['?', 'these keys'],
];
const CHART: Keys = [
  ['Tab', 'to the places on the chart'],
  ['← → ↑ ↓', 'to the nearest place'],
  ['Enter', 'take it'],
];
const BY_STAGE: Record<string, Keys> = {
  screen: [
    ['r', 'no red flag, asked once more'],
    ['d', 'none today'],
    ['l', 'standing facts as last time; on a first visit, none of them'],
    ['g', 'go on to Assess'],
    ['y  n', 'answer the question in focus'],
    ['Tab', 'next question'],
  ],
  assess: [
    ...CHART,
    ['0 – 3', 'tenderness of the place in focus'],
    ['0 – 10', 'rating of the row in focus; 1 waits a second for a 0'],
    ['Backspace', 'take it away'],
    ['w a s d, arrows, m', 'while pinning: move the cross, pin'],
    ['t  e  n', 'while scanning: tense, at ease, nothing'],
    ['space', 'while pressing with the gauge: the client says “now”'],
  ],
  compose: [
    ...CHART,
    ['+', 'to the typed line'],
    ['Alt ↑ ↓', 'while adding: where it goes'],
    ['↑ ↓', 'from step to step'],
    ['Enter', 'open the step; Esc closes it'],
    ['[  ]', 'move the step in focus, in the list or on the ribbon'],
    ['x', 'into the choice, or out of it'],
    ['b', 'the chosen steps all on the left, then all on the right'],
    ['f  F', 'to the next finding; its fix'],
    ['1 2 3', 'while proposing: the proposal, another, a third'],
    ['k  r', 'while proposing: keep the chosen step; ask again'],
    ['Enter  Esc', 'while proposing: take it; leave it'],
    ['Delete', 'remove the step'],
    ['Ctrl Z, Ctrl Y', 'undo, redo'],
  ],
  record: [...CHART, ['0 – 3', 'tenderness of the place in focus']],
};
const TODAY: Keys = [
  ['n', 'a new visit in the next free time'],
  [',  .  t', 'the day before, the day after, today'],
  ['← → ↑ ↓', 'on a booking in the making: five minutes, the next room'],
  ['Shift ← →', 'its length'],
  ['Enter  Esc', 'book it; leave it'],
];
const FIND_IT: Keys = [
  ['← → ↑ ↓', 'move the cross'],
  ['w a s d', 'move it in long steps'],
  ['m', 'mark here'],
  ['n', 'next question'],
];

/** `?`, or its button, shows the keys of the present screen, and switches those without Ctrl or Alt off and on. */
export function KeyHelp() {
  const [shown, setShown] = useState(false);
  const { pathname } = useLocation();
  const on = useSyncExternalStore(onSingleKeys, singleKeysOn, () => true);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== '?' || isQuiet(event)) return;
      event.preventDefault();
      setShown((s) => !s);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  useEffect(() => onHelpAsked(() => setShown(true)), []);
  const own = pathname.startsWith('/visits/')
    ? (BY_STAGE[pathname.split('/').at(-1) ?? ''] ?? [])
    : pathname === '/today'
      ? TODAY
      : pathname === '/atlas/find-it'
        ? FIND_IT
        : pathname.startsWith('/atlas')
          ? CHART
          : [];
  const isGuide = pathname.startsWith('/visits/') && pathname.endsWith('/guide');
  return (
    <>
      <Button variant="link" aria-haspopup="dialog" onClick={() => setShown(true)}>
        Help
      </Button>
      <Modal show={shown} onHide={() => setShown(false)} scrollable size="lg" aria-labelledby="help-title">
        <Modal.Header>
          <h2 id="help-title" className="m-0">
            Help
          </h2>
        </Modal.Header>
        <Modal.Body>
          <h3>Keys of this screen</h3>
          <Form.Check
            type="switch"
            id="single-keys"
            className="mb-3"
            label="Single keys act (letters, digits and signs without Ctrl). Kept on this device."
            checked={on}
            onChange={(e) => setSingleKeys(e.target.checked)}
          />
          {isGuide && <CommandTable />}
          <table className="table table-sm">
            <tbody>
              {[...own, ...EVERYWHERE].map(([key, what]) => (
                <tr key={key}>
                  <th scope="row">
                    <kbd>{key}</kbd>
                  </th>
                  <td>{what}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <PressureHelp />
          <FirstVisit />
        </Modal.Body>
        <Modal.Footer>
          <Button onClick={() => setShown(false)}>Close</Button>
        </Modal.Footer>
      </Modal>
    </>
  );
}
