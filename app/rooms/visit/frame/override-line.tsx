import { type Caution, mayBeOverridden, type Override } from '../../../../core/limits';
import { hasEnded } from '../../../../core/record';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { overrideSchema } from '../../../schemas/practice';
import { check, type FieldErrors } from '../../../schemas/read';
import { FieldFrame } from '../../../parts/fields/field';
import { useDates } from '../../../parts/frame/use-dates';
import { useVisit } from '../session/context';
import { send } from '../../../parts/frame/send';

/** Under a caution: who overrode it and why, or the way to do so in writing. */
export function OverrideLine({ caution }: { caution: Caution }) {
  const { shortDay } = useDates();
  const { alongside, visit, stage } = useVisit();
  const [open, setOpen] = useState(false);
  const signed = alongside.overrides.find((o) => o.caution === caution.key);
  if (signed)
    return (
      <div className="override">
        <strong>Overridden</strong> by {signed.signedName}, {shortDay(signed.signedAt)}: {signed.reason}
      </div>
    );
  if (hasEnded(stage) || !mayBeOverridden(caution) || caution.severity === 'note') return null;
  return open ? (
    <OverrideForm caution={caution} visitId={visit.id} onClose={() => setOpen(false)} />
  ) : (
    <div>
      <Button variant="link" onClick={() => setOpen(true)} aria-label={`Override in writing: ${caution.title}`}>
        Override in writing
      </Button>
    </div>
  );
}

function OverrideForm({ caution, visitId, onClose }: { caution: Caution; visitId: string; onClose: () => void }) {
  const { noteAlongside } = useVisit();
  const [reason, setReason] = useState('');
  const [password, setPassword] = useState('');
  const [errors, setErrors] = useState<FieldErrors>({});
  const sign = async () => {
    const input = await check(overrideSchema, { caution: caution.key, reason, password });
    if (!input.ok) return setErrors(input.errors);
    const answer = await send<{ override: Override }>(`/visits/${visitId}/override`, input.value);
    if (answer.ok) noteAlongside((b) => ({ overrides: [...b.overrides, answer.value.override] }));
    else setErrors(Object.keys(answer.errors).length ? answer.errors : { reason: answer.message });
  };
  // No form of its own: it stands inside the fieldset of the answers.
  return (
    <div
      className="override-form"
      role="group"
      aria-label={`Override: ${caution.title}`}
      onKeyDown={(e) => e.key === 'Escape' && onClose()}
    >
      <FieldFrame
        label="Why is it done all the same?"
        as="textarea"
        rows={3}
        autoFocus
        value={reason}
        onChange={(e: { target: { value: string } }) => setReason(e.target.value)}
        message={errors.reason}
      />
      <FieldFrame
        label="Your password, as signature"
        type="password"
        autoComplete="current-password"
        value={password}
        onChange={(e: { target: { value: string } }) => setPassword(e.target.value)}
        message={errors.password}
      />
      <p className="soft small mb-1">
        It holds for this visit, warns at every step it frees, and stays in the audit trail.
      </p>
      <div className="d-flex gap-2">
        <Button size="sm" variant="danger" onClick={() => void sign()}>
          Sign the override
        </Button>
        <Button size="sm" variant="outline-primary" onClick={onClose}>
          Go back
        </Button>
      </div>
    </div>
  );
}
