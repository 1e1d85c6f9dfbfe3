import type { StoredProduct } from '../../../../core/record';
import { checkProduct, type PatchTest } from '../../../../core/limits';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { ALLERGEN_FAMILIES } from '../../../../reference/facts/allergens';
import { dayOf } from '../../../../core/schedule';
import { useDates } from '../../../parts/frame/use-dates';
import { useVisit } from '../session/context';
import { send } from '../../../parts/frame/send';

/** The product chosen for today, and what speaks against it on this client. */
export function useProductToday() {
  const { products, screen, client, alongside } = useVisit();
  const findingsOf = (p: StoredProduct) =>
    checkProduct(
      p,
      { allergies: client.allergies, patchTest: alongside.patchTests[p.id] ?? null, answers: screen.answers },
      ALLERGEN_FAMILIES,
    );
  const chosen = products.find((p) => p.id === screen.product) ?? null;
  return {
    chosen,
    findings: chosen ? findingsOf(chosen) : [],
    isAvoided: (p: StoredProduct) => findingsOf(p).some((f) => f.severity === 'avoid'),
  };
}

/** Which product is used today, held against this client's allergies, patch tests and answers. */
export function ProductChoice() {
  const { dayWords } = useDates();
  const { products, screen, setScreen, client, alongside, noteAlongside, timeZone } = useVisit();
  const [failed, setFailed] = useState('');
  const { chosen, findings, isAvoided } = useProductToday();
  const test = chosen ? (alongside.patchTests[chosen.id] ?? null) : null;
  const noteTest = async (reacted: boolean) => {
    if (!chosen) return;
    const testedOn = dayOf(new Date().toISOString(), timeZone);
    const answer = await send<PatchTest>(`/clients/${client.id}/patch-test`, {
      productId: chosen.id,
      testedOn,
      reacted,
    });
    setFailed(answer.ok ? '' : answer.message);
    if (answer.ok) noteAlongside((b) => ({ patchTests: { ...b.patchTests, [chosen.id]: { testedOn, reacted } } }));
  };
  if (!products.length)
    return (
      <p className="soft small">
        No products on file: <Link to="/practice/products">type in what stands on the shelf</Link>, and ingredients are
        checked here.
      </p>
    );
  return (
    <div className="product-choice">
      <div className="d-flex align-items-center gap-2 flex-wrap">
        <Form.Label htmlFor="product-today" className="mb-0 fw-bold">
          Product today
        </Form.Label>
        <Form.Select
          id="product-today"
          size="sm"
          className="w-auto"
          value={screen.product ?? ''}
          onChange={(e) => setScreen({ ...screen, product: e.target.value || undefined })}
        >
          <option value="">none, dry</option>
          {products.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
              {isAvoided(p) ? ' (not for this client)' : ''}
            </option>
          ))}
        </Form.Select>
        {client.allergies.length > 0 && <span className="soft small">reacts to {client.allergies.join(', ')}</span>}
      </div>
      {chosen && (
        <ul className="plain-notes" aria-live="polite">
          {findings.map((f) => (
            <li key={f.words} className={f.severity === 'avoid' ? 'caution fw-bold' : 'soft'}>
              {f.severity === 'avoid' ? 'Avoid. ' : ''}
              {f.words}
            </li>
          ))}
          {test && !test.reacted && <li className="soft">Patch test of {dayWords(test.testedOn)}: nothing seen.</li>}
          <li>
            <Button variant="link" onClick={() => void noteTest(false)}>
              Patch test today: nothing seen
            </Button>{' '}
            <Button variant="link" onClick={() => void noteTest(true)}>
              Patch test today: skin reacted
            </Button>
          </li>
          {failed && (
            <li className="caution" role="alert">
              {failed}
            </li>
          )}
        </ul>
      )}
    </div>
  );
}
