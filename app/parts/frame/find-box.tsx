import { useEffect, useId, useRef, useState } from 'react';
import { Form } from 'react-bootstrap';
import { Link, useLocation, useNavigate } from 'react-router';
import { isQuiet } from '../keys/keys';
import { useRead } from './use-read';

/** What the search of a practice gives. */
export interface Found {
  /** Address of its page. */
  to: string;
  name: string;
  /** What it is, in a word or two. */
  what: string;
}

/** Find a client or a routine from anywhere; `/` puts the cursor here. */
export function FindBox() {
  const input = useRef<HTMLInputElement>(null);
  const { load, data } = useRead<{ found: Found[] }>();
  const [text, setText] = useState('');
  const navigate = useNavigate();
  const listId = useId();
  const { pathname } = useLocation();
  const [at, setAt] = useState(pathname);
  if (at !== pathname) {
    setAt(pathname);
    setText('');
  }
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== '/' || isQuiet(event)) return;
      event.preventDefault();
      input.current?.focus();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  useEffect(() => {
    if (!text.trim()) return;
    const soon = setTimeout(() => void load(`/find?q=${encodeURIComponent(text.trim())}`), 150);
    return () => clearTimeout(soon);
  }, [text, load]);
  const found = data?.found ?? [];
  const [chosen, setChosen] = useState(0);
  const [chosenFor, setChosenFor] = useState(data);
  if (chosenFor !== data) {
    setChosenFor(data);
    setChosen(0);
  }
  const isOpen = text.trim() !== '' && data !== undefined;
  const idOf = (i: number) => `${listId}-${i}`;
  const onKey = (e: React.KeyboardEvent) => {
    if (e.key === 'Escape') {
      setText('');
      input.current?.blur();
    } else if (isOpen && found.length && (e.key === 'ArrowDown' || e.key === 'ArrowUp')) {
      setChosen((chosen + (e.key === 'ArrowDown' ? 1 : found.length - 1)) % found.length);
      e.preventDefault();
    } else if (isOpen && e.key === 'Enter' && found[chosen] && e.target === input.current) {
      void navigate(found[chosen].to);
      e.preventDefault();
    }
  };
  return (
    <search className="find" onKeyDown={onKey}>
      <Form.Control
        ref={input}
        value={text}
        onChange={(e) => setText(e.target.value)}
        placeholder="Find a client, routine, place …"
        aria-label="Find a client, a routine, a place or a technique"
        maxLength={80}
        autoComplete="off"
        role="combobox"
        aria-expanded={isOpen}
        aria-controls={listId}
        aria-activedescendant={isOpen && found.length ? idOf(chosen) : undefined}
      />
      {!text && <kbd aria-hidden="true">/</kbd>}
      {isOpen && (
        <ul className="find-list" id={listId} role="listbox" aria-label="Found">
          {found.map((f, i) => (
            <li
              key={f.to}
              id={idOf(i)}
              role="option"
              aria-selected={i === chosen}
              className={i === chosen ? 'is-chosen' : undefined}
              onPointerMove={() => setChosen(i)}
            >
              <Link to={f.to} tabIndex={-1}>
                {f.name} <span className="soft small d-inline p-0">{f.what}</span>
              </Link>
            </li>
          ))}
          {!found.length && (
            <li role="option" aria-selected={false} aria-disabled="true">
              <span className="soft">Nothing of that name</span>
            </li>
          )}
        </ul>
      )}
    </search>
  );
}
