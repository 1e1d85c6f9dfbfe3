import { clock } from '../../../../core/words';
import { useEffect, useState } from 'react';
import { Button, Modal } from 'react-bootstrap';
import type { loader } from '../../../routes/visit/templates';
import { Looking } from '../../../parts/frame/looking';
import { useRead } from '../../../parts/frame/use-read';

/** The templates of the practice to begin with, each saying what this client's screening takes out of it. */
export function TemplateList({
  visitId,
  onClose,
  onChoose,
}: {
  visitId: string;
  onClose: () => void;
  onChoose: (id: string) => void;
}) {
  const list = useRead<typeof loader>();
  const [text, setText] = useState('');
  const { load } = list;
  useEffect(() => {
    const wait = setTimeout(() => void load(`/visits/${visitId}/templates?q=${encodeURIComponent(text)}`), 150);
    return () => clearTimeout(wait);
  }, [load, visitId, text]);
  return (
    <Modal show enforceFocus={false} onHide={onClose} size="lg" scrollable aria-labelledby="templates-title">
      <Modal.Header closeButton>
        <h2 id="templates-title" className="m-0">
          Start from a template
        </h2>
      </Modal.Header>
      <Modal.Body>
        <input
          className="form-control mb-3"
          aria-label="Find a template by its name"
          placeholder="Find by name"
          maxLength={80}
          autoFocus
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        {!list.data && <Looking isFailed={list.isFailed} />}
        {list.data && !list.data.templates.length && <p className="soft">No template of that name.</p>}
        <ul className="template-list">
          {list.data?.templates.map((t) => (
            <li key={t.id}>
              <button type="button" className="template-row" disabled={!t.steps} onClick={() => onChoose(t.id)}>
                <span className="fw-bold">{t.name}</span>
                <span className="num">{clock(t.seconds)}</span>
                <span className="soft">
                  {t.isPart ? 'a part, goes behind the open step · ' : ''}
                  {t.steps === t.of ? `${t.of} steps` : `${t.steps} of ${t.of} steps`} · {t.school}
                </span>
                {t.leftOut.length > 0 && <span className="falls">Falls out today: {t.leftOut.join(', ')}</span>}
                {t.lowered.length > 0 && <span className="falls">Lighter today: {t.lowered.join(', ')}</span>}
              </button>
            </li>
          ))}
        </ul>
        {list.data?.more && <p className="soft">More are there: type a part of the name.</p>}
      </Modal.Body>
      <Modal.Footer>
        <Button variant="outline-primary" onClick={onClose}>
          Cancel
        </Button>
      </Modal.Footer>
    </Modal>
  );
}
