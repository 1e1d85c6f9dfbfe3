import type { Ask } from '../../../core/proposal';
import { REGION_NAMES, REGIONS, TECHNIQUE_TOOLS, type Region } from '../../../core/words';
import { useId, type ReactNode } from 'react';
import { Button, Dropdown, Form } from 'react-bootstrap';
import { SCHOOLS } from '../../../reference/schools';

/** Regions of which more can be wished: those of head and neck. */
const WISHED: readonly Region[] = REGIONS.filter((r) => !['hand', 'arm', 'body', 'whole-face', 'lips'].includes(r));
const SIDES: Record<Ask['sides'], string> = {
  'extra-on-sorer': 'more on the sorer side',
  equal: 'both sides alike',
  'sore-side-only': 'the sore side only',
};
const HANDS: Record<Ask['hands'], string> = { practitioner: 'your hands', own: 'their own hands' };

/** What is asked of a proposal, as one sentence whose values are fields. Nothing is worked out until it is asked again. */
export function AskSentence({
  ask,
  nameOf,
  onAsk,
  children,
}: {
  ask: Ask;
  /** Of a technique. */
  nameOf: (technique: string) => string;
  onAsk: (next: Ask) => void;
  /** What is done with it, at its end. */
  children: ReactNode;
}) {
  const id = useId();
  const set = (change: Partial<Ask>) => onAsk({ ...ask, ...change });
  const wish = (key: 'gentler' | 'fewerChanges' | 'exercises', words: string) => (
    <Button
      size="sm"
      variant={ask[key] ? 'primary' : 'outline-primary'}
      aria-pressed={ask[key]}
      onClick={() => set({ [key]: !ask[key] })}
    >
      {words}
    </Button>
  );
  const isBad = ask.minutes !== null && !(ask.minutes >= 1 && ask.minutes <= 60);
  return (
    <div className="ask">
      <div className="ask-line">
        <label htmlFor={`${id}-minutes`}>For</label>
        {ask.minutes === null ? (
          <span>one or two techniques</span>
        ) : (
          <>
            <Form.Control
              id={`${id}-minutes`}
              size="sm"
              type="number"
              min={1}
              max={60}
              className="num ask-minutes"
              value={Number.isNaN(ask.minutes) ? '' : ask.minutes}
              isInvalid={isBad}
              aria-describedby={isBad ? `${id}-bad` : undefined}
              onChange={(e) => set({ minutes: e.target.value === '' ? NaN : Number(e.target.value) })}
            />
            <span>minutes,</span>
          </>
        )}
        <Form.Check
          id={`${id}-few`}
          type="checkbox"
          label="one or two techniques"
          checked={ask.minutes === null}
          onChange={(e) => set({ minutes: e.target.checked ? null : 20 })}
        />
        <Form.Select
          size="sm"
          aria-label="School of order"
          value={ask.school}
          onChange={(e) => set({ school: e.target.value })}
        >
          {SCHOOLS.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </Form.Select>
        <Form.Select
          size="sm"
          aria-label="Sides"
          value={ask.sides}
          onChange={(e) => set({ sides: e.target.value as Ask['sides'] })}
        >
          {Object.entries(SIDES).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </Form.Select>
      </div>
      {isBad && (
        <p id={`${id}-bad`} className="worse small mb-0">
          Minutes: 1 to 60
        </p>
      )}
      <div className="ask-line">
        <Form.Select
          size="sm"
          aria-label="Whose hands"
          value={ask.hands}
          onChange={(e) => set({ hands: e.target.value as Ask['hands'] })}
        >
          {Object.entries(HANDS).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </Form.Select>
        {wish('gentler', 'gentler')}
        {wish('fewerChanges', 'fewer changes')}
        {wish('exercises', 'with exercises')}
        <Choices
          title={ask.more.length ? `more of: ${ask.more.map((r) => REGION_NAMES[r]).join(', ')}` : 'more of …'}
          all={WISHED.map((r) => [r, REGION_NAMES[r]])}
          chosen={ask.more}
          onChoose={(more) => set({ more: more as Region[] })}
        />
        <Choices
          title={ask.tools.length ? `at hand: ${ask.tools.join(', ').replaceAll('-', ' ')}` : 'tools at hand …'}
          all={TECHNIQUE_TOOLS.map((t) => [t, t.replaceAll('-', ' ')])}
          chosen={ask.tools}
          onChoose={(tools) => set({ tools: tools as Ask['tools'] })}
        />
        {ask.kept.length > 0 && <span>keeping</span>}
        {ask.kept.map((s) => (
          <Chip key={s.id} words={nameOf(s.technique)} onLetGo={() => set({ kept: ask.kept.filter((k) => k !== s) })} />
        ))}
        {ask.excluded.length > 0 && <span>without</span>}
        {ask.excluded.map((t) => (
          <Chip key={t} words={nameOf(t)} onLetGo={() => set({ excluded: ask.excluded.filter((x) => x !== t) })} />
        ))}
        <span className="ask-ways">{children}</span>
      </div>
    </div>
  );
}

function Chip({ words, onLetGo }: { words: string; onLetGo: () => void }) {
  return (
    <span className="ask-chip">
      {words}
      <button type="button" aria-label={`Let go: ${words}`} onClick={onLetGo}>
        ×
      </button>
    </span>
  );
}

/** Several of a list, chosen in a menu that stays open. */
function Choices({
  title,
  all,
  chosen,
  onChoose,
}: {
  title: string;
  all: readonly (readonly [string, string])[];
  chosen: readonly string[];
  onChoose: (next: string[]) => void;
}) {
  const id = useId();
  return (
    <Dropdown autoClose="outside">
      <Dropdown.Toggle size="sm" variant={chosen.length ? 'primary' : 'outline-primary'}>
        {title}
      </Dropdown.Toggle>
      <Dropdown.Menu className="ask-menu">
        {all.map(([key, words]) => (
          <Form.Check
            key={key}
            id={`${id}-${key}`}
            type="checkbox"
            label={words}
            checked={chosen.includes(key)}
            onChange={(e) => onChoose(e.target.checked ? [...chosen, key] : chosen.filter((c) => c !== key))}
          />
        ))}
      </Dropdown.Menu>
    </Dropdown>
  );
}
