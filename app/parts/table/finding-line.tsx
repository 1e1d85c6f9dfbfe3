import type { RuleFinding } from '../../../core/rules';
import { Button } from 'react-bootstrap';

const capital = (text: string) => text[0]!.toUpperCase() + text.slice(1);

/** What the rules say of a step, in one line, with the fix that the program can make. */
export function FindingLine({
  finding,
  under = '',
  disabled,
  onFix,
}: {
  finding: RuleFinding;
  /** Name of the step it stands under, which need not be said again. */
  under?: string;
  disabled: boolean;
  onFix: () => void;
}) {
  const { severity, title, reason, fix } = finding;
  return (
    <div className={`finding is-line is-${severity}`} tabIndex={-1}>
      <strong>{capital(title.replace(`${under}: `, ''))}</strong> {reason}{' '}
      {fix && !disabled && (
        <Button variant="link" onClick={onFix}>
          {fix.label}
        </Button>
      )}
    </div>
  );
}
