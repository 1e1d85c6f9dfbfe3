import { Button } from 'react-bootstrap';
import { Form, Link } from 'react-router';

interface Props {
  /** What the practice keeps: an id, and the version it is changed on. */
  kept: { id: string; version: number };
  name: string;
  /** Beside the name, in a few words. */
  aside: string;
  children: React.ReactNode;
  inUse: boolean;
  /** Search parameter that opens it for change. */
  param: string;
  /** The switch: value of `do` and words, for taking it out of use and back. */
  off: [value: string, words: string];
  on: [value: string, words: string];
  mayChange?: boolean;
}

/** One thing of the practice, with the ways to change it and to take it out of use without losing it. */
export function KeptRow({ kept, name, aside, children, inUse, param, off, on, mayChange = true }: Props) {
  const [value, words] = inUse ? off : on;
  return (
    <li className={`rule-row${inUse ? '' : ' is-off'}`}>
      <div>
        <strong>{name}</strong> <span className="soft small">{aside}</span>
        {children}
      </div>
      {mayChange && (
        <Form method="post" className="d-flex gap-2 align-items-start">
          <input type="hidden" name="id" value={kept.id} />
          <input type="hidden" name="version" value={kept.version} />
          <Link to={`?${param}=${kept.id}`} className="btn btn-sm btn-outline-primary" aria-label={`Change: ${name}`}>
            Change
          </Link>
          <Button
            size="sm"
            variant="outline-primary"
            type="submit"
            name="do"
            value={value}
            aria-label={`${words}: ${name}`}
          >
            {words}
          </Button>
        </Form>
      )}
    </li>
  );
}
