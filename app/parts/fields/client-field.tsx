import { useEffect, useId, useState } from 'react';
import { Form } from 'react-bootstrap';
import { useRead } from '../frame/use-read';

interface Named {
  id: string;
  name: string;
}

/** A client by the first letters of their name. */
export function ClientField({
  label,
  chosen,
  onChoose,
  autoFocus = false,
}: {
  label: string;
  chosen: Named | null;
  onChoose: (client: Named | null) => void;
  autoFocus?: boolean;
}) {
  const id = useId();
  const { load, data } = useRead<{ names: Named[] }>();
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  useEffect(() => {
    if (!text.trim() || chosen) return;
    const soon = setTimeout(() => void load(`/bookings/names?q=${encodeURIComponent(text.trim())}`), 150);
    return () => clearTimeout(soon);
  }, [text, chosen, load]);
  const names = data?.names ?? [];
  const isOpen = !chosen && text.trim() !== '' && data !== undefined;
  const index = Math.min(at, names.length - 1);
  const take = (client: Named) => {
    onChoose(client);
    setText('');
  };
  const onKey = (e: React.KeyboardEvent) => {
    if (!isOpen || !names.length) return;
    if (e.key === 'ArrowDown' || e.key === 'ArrowUp') {
      setAt((index + (e.key === 'ArrowDown' ? 1 : names.length - 1)) % names.length);
      e.preventDefault();
    } else if (e.key === 'Enter') {
      take(names[index]!);
      e.preventDefault();
    }
  };
  return (
    <div className="client-field" onKeyDown={onKey}>
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        autoFocus={autoFocus}
        value={chosen?.name ?? text}
        placeholder="First letters of the name"
        autoComplete="off"
        maxLength={80}
        role="combobox"
        aria-expanded={isOpen}
        aria-controls={`${id}-list`}
        aria-activedescendant={isOpen && names.length ? `${id}-${index}` : undefined}
        onChange={(e) => {
          if (chosen) onChoose(null);
          setAt(0);
          setText(e.target.value);
        }}
      />
      {isOpen && (
        <ul id={`${id}-list`} role="listbox" aria-label="Clients" className="find-list">
          {names.map((n, i) => (
            <li
              key={n.id}
              id={`${id}-${i}`}
              role="option"
              aria-selected={i === index}
              className={i === index ? 'is-chosen' : undefined}
              onPointerDown={(e) => {
                e.preventDefault();
                take(n);
              }}
            >
              <span className="d-block p-2">{n.name}</span>
            </li>
          ))}
          {!names.length && (
            <li role="option" aria-selected={false} aria-disabled="true">
              <span className="soft d-block p-2">Nobody of that name</span>
            </li>
          )}
        </ul>
      )}
    </div>
  );
}
