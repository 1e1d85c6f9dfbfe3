import { useEffect, useRef, useState } from 'react';
import { Form } from 'react-bootstrap';
import { Link, useLocation } from 'react-router';
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
  return (
    <search className="find" onKeyDown={(e) => e.key === 'Escape' && (setText(''), input.current?.blur())}>
      <Form.Control
        ref={input}
        value={text}
        onChange={(e) => setText(e.target.value)}
        placeholder="Find a client, routine …"
        aria-label="Find a client or a routine"
        maxLength={80}
        autoComplete="off"
      />
      {!text && <kbd aria-hidden="true">/</kbd>}
      {text.trim() && data && (
        <ul className="find-list">
          {found.map((f) => (
            <li key={f.to}>
              <Link to={f.to}>
                {f.name} <span className="soft small d-inline p-0">{f.what}</span>
              </Link>
            </li>
          ))}
          {!found.length && (
            <li>
              <span className="soft">Nothing of that name</span>
            </li>
          )}
        </ul>
      )}
    </search>
  );
}
