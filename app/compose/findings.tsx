import { Button } from 'react-bootstrap';
import type { Finding } from '../../core/routine/check';

const SHOWN = 6;

/** What the rules say, worst first, each with its reason and a fix the program can make. */
export function Findings({ findings, disabled, onFix }: { findings: readonly Finding[]; disabled: boolean; onFix: (finding: Finding) => void }) {
  const rest = findings.length - SHOWN;
  return (
    <div aria-live="polite" aria-label="What the rules say">
      {findings.slice(0, SHOWN).map((f, i) => (
        <div key={`${f.rule}-${i}`} className={`finding is-${f.severity}`}>
          <strong>{f.title}</strong> {f.reason}{' '}
          {f.fix && !disabled && (
            <Button variant="link" onClick={() => onFix(f)}>
              {f.fix.label}
            </Button>
          )}
        </div>
      ))}
      {rest > 0 && <p className="soft small mt-2 mb-0">and {rest} more after these</p>}
    </div>
  );
}
