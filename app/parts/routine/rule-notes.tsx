import type { RuleFinding } from '../../../core/rules';
import { useState } from 'react';
import { Button } from 'react-bootstrap';

/** Shown without asking; stops are always shown. */
const SHOWN = 2;

/** What the rules say, worst first, each with its reason and a fix the program can make. */
export function RuleNotes({
  findings,
  disabled,
  onFix,
}: {
  findings: readonly RuleFinding[];
  disabled: boolean;
  onFix: (finding: RuleFinding) => void;
}) {
  const [all, setAll] = useState(false);
  const stops = findings.filter((f) => f.severity === 'stop').length;
  const shown = all ? findings : findings.slice(0, Math.max(SHOWN, stops));
  if (!findings.length) return null;
  return (
    <div className="findings" aria-live="polite" role="region" aria-label="What the rules say">
      {shown.map((f, i) => (
        <div key={`${f.rule}-${i}`} className={`finding is-${f.severity}`}>
          <strong>{f.title}</strong> {f.reason}{' '}
          {f.fix && !disabled && (
            <Button variant="link" onClick={() => onFix(f)}>
              {f.fix.label}
            </Button>
          )}
        </div>
      ))}
      {(all || findings.length > shown.length) && (
        <Button variant="link" className="small mt-1" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Show less' : `${findings.length - shown.length} more`}
        </Button>
      )}
    </div>
  );
}
