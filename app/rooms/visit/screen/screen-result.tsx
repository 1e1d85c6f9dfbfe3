import { SEVERITIES, type Severity } from '../../../../core/limits';
import { takenAwayBy } from '../../../parts/words/caution-words';
import { useVisit } from '../session/context';
import { OverrideLine } from '../frame/override-line';

const WORDS: Record<Severity, string> = { 'refer-out': 'Refer out', avoid: 'Avoid', adapt: 'Adapt', note: 'Note' };

/** What the answers take away, worst first; rules for everyone come last. */
export function ScreenResult() {
  const { screening, client, texts } = useVisit();
  return (
    <div className="result-list" role="region" aria-label="What it changes" aria-live="polite" tabIndex={0}>
      <h2>What it changes</h2>
      {screening.mustStop && (
        <p className="caution fw-bold mt-2 mb-0">
          The visit stops here. See: {[...new Set(screening.hits['refer-out'].map((c) => c.seeWho))].join(' ')}
        </p>
      )}
      {client.pressureCap && (
        <p className="mt-2 mb-0">Pressure stays at {client.pressureCap} or below for this client.</p>
      )}
      {SEVERITIES.map((severity) => {
        const hits = screening.hits[severity];
        if (!hits.length) return null;
        return (
          <section key={severity}>
            <h3 className={severity === 'refer-out' ? 'caution' : ''}>{WORDS[severity]}</h3>
            <ul>
              {[...hits]
                .sort((a, b) => Number(a.group === 'everyone') - Number(b.group === 'everyone'))
                .map((c) => (
                  <li key={c.key}>
                    <strong>{c.title}</strong> <span className="soft">{c.group === 'everyone' ? 'always' : ''}</span>
                    <br />
                    {c.group === 'everyone' ? c.advice : `${takenAwayBy(c)}. ${c.seeWho ? `See: ${c.seeWho}` : ''}`}
                    <OverrideLine caution={c} />
                  </li>
                ))}
            </ul>
          </section>
        );
      })}
      <p className="soft small mt-3">{texts.scope.body}</p>
    </div>
  );
}
