import { useEffect, useState } from 'react';
import { Modal } from 'react-bootstrap';
import { useLocation } from 'react-router';
import { isTyping } from './keys';

type Keys = [key: string, what: string][];
const EVERYWHERE: Keys = [['/', 'find a client or a routine'], ['?', 'these keys']];
const CHART: Keys = [['Tab', 'to the places on the chart'], ['← → ↑ ↓', 'to the nearest place'], ['Enter', 'take it']];
const BY_STAGE: Record<string, Keys> = {
  screen: [['r', 'no red flag'], ['d', 'none today'], ['l', 'standing facts as last time, then no to the others'], ['g', 'go on to Assess'], ['y  n', 'answer the question in focus'], ['Tab', 'next question']],
  assess: [...CHART, ['0 – 3', 'tenderness of the place in focus'], ['0 – 9', 'rating of the row in focus'], ['Backspace', 'take it away'], ['w a s d, arrows, m', 'while pinning: move the cross, pin'], ['t  e  n', 'while scanning: tense, at ease, nothing'], ['space', 'while pressing with the gauge: the client says “now”']],
  compose: [...CHART, ['+', 'to the typed line'], ['[  ]', 'move the step in focus, in the list or on the ribbon'], ['Delete', 'remove the step'], ['Ctrl Z, Ctrl Y', 'undo, redo']],
  guide: [['space', 'start, pause, resume'], ['→  ←', 'next step, back'], ['r', 'repeat'], ['e', 'ten seconds more'], ['-  =', 'lighter, firmer'], ['n', 'note'], ['c', 'compare the sides'], ['x', 'stop']],
  record: [...CHART, ['0 – 3', 'tenderness of the place in focus']],
};
const FIND_IT: Keys = [['← → ↑ ↓', 'move the cross'], ['w a s d', 'move it in long steps'], ['m', 'mark here'], ['n', 'next question']];

/** `?` shows the keys of the present screen. */
export function KeyHelp() {
  const [shown, setShown] = useState(false);
  const { pathname } = useLocation();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== '?' || isTyping(event)) return;
      event.preventDefault();
      setShown((s) => !s);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  const own = pathname.startsWith('/visits/') ? (BY_STAGE[pathname.split('/').at(-1) ?? ''] ?? []) : pathname === '/atlas/find-it' ? FIND_IT : pathname.startsWith('/atlas') ? CHART : [];
  return (
    <Modal show={shown} onHide={() => setShown(false)} aria-labelledby="keys-title">
      <Modal.Body>
        <h2 id="keys-title" className="mb-3">
          Keys
        </h2>
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
      </Modal.Body>
    </Modal>
  );
}
