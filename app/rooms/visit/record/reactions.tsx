import { type Reaction, REACTION_NAMES, REACTIONS, whereWords } from '../../../../core/record';
import isEqual from 'fast-deep-equal';
import type { Place } from '../../../parts/chart/places';
import { muscleName } from '../../../parts/words/muscle-name';
import { useVisit } from '../session/context';

/** Reactions, and where they were: one of them waits for a touch on the chart. */
export function useReactions(asked: Reaction | null) {
  const { record, setRecord } = useVisit();
  const toggle = (reaction: Reaction) => {
    const has = record.reactions.includes(reaction);
    const rest = record.reactions.filter((r) => r !== reaction && (reaction === 'none' ? false : r !== 'none'));
    const reactions = has ? rest : [...rest, reaction];
    setRecord({ ...record, reactions, where: record.where.filter((w) => reactions.includes(w.reaction)) });
  };
  const point = (place: Place) => {
    if (!asked || place.side === 'midline') return;
    const one = { reaction: asked, muscle: place.id, side: place.side };
    const rest = record.where.filter((w) => !isEqual(w, one));
    setRecord({ ...record, where: rest.length < record.where.length ? rest : [...rest, one] });
  };
  return { toggle, point };
}

/** What was seen right after, one touch each; a reaction that lies somewhere is pointed to on the chart. */
export function Reactions({ asked, onAsk }: { asked: Reaction | null; onAsk: (reaction: Reaction | null) => void }) {
  const { record, setRecord } = useVisit();
  const { toggle } = useReactions(asked);
  return (
    <>
      <div className="chips" role="group" aria-label="Reactions">
        {REACTIONS.map((r) => (
          <button
            key={r}
            type="button"
            className="chip"
            aria-pressed={record.reactions.includes(r)}
            onClick={() => {
              if (asked === r) onAsk(null);
              toggle(r);
            }}
          >
            {REACTION_NAMES[r]}
          </button>
        ))}
      </div>
      {record.reactions.some((r) => r !== 'none') && (
        <ul className="plain-list reaction-places">
          {record.reactions
            .filter((r) => r !== 'none')
            .map((r) => {
              const where = record.where.filter((w) => w.reaction === r);
              return (
                <li key={r}>
                  <span>{where.length ? whereWords(where, muscleName) : `${REACTION_NAMES[r]}: not pointed to`}</span>{' '}
                  <button
                    type="button"
                    className="chip"
                    aria-pressed={asked === r}
                    aria-label={`Where? ${REACTION_NAMES[r]}`}
                    onClick={() => onAsk(asked === r ? null : r)}
                  >
                    {asked === r ? 'touch the chart …' : 'where?'}
                  </button>
                  {where.length > 0 && (
                    <button
                      type="button"
                      className="chip"
                      aria-label={`Nowhere: ${REACTION_NAMES[r]}`}
                      onClick={() => setRecord({ ...record, where: record.where.filter((w) => w.reaction !== r) })}
                    >
                      take away
                    </button>
                  )}
                </li>
              );
            })}
        </ul>
      )}
    </>
  );
}
