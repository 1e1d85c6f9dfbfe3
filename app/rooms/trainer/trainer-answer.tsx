import { otherSide, type OneSide } from '../../../core/words';
import { Link } from 'react-router';
import { type Answered, nameOfKey, type Question } from './questions';

/** How far off a mark was, and how to find the place. */
export const TrainerAnswer = ({ question, side, judged }: { question: Question; side: OneSide; judged: Answered }) => (
  <>
    <p className="trainer-answer">
      <strong className={`is-${judged.grade}`}>{Math.round(judged.errorMm)} mm off</strong>
      {question.kind === 'edge' ? ' the border,' : ''} over the skin{' '}
      <span className="soft">
        ({judged.inches.toFixed(1)} {judged.inchName})
      </span>
      {judged.otherSide && <>; on the client’s {otherSide(side)} side</>}
      {judged.takenFor && <>; nearer to {nameOfKey(judged.takenFor)}</>}
    </p>
    <p>
      {question.find}{' '}
      <Link to={`/atlas/${question.kind === 'edge' ? 'muscle' : question.kind}/${question.id}`}>Open its sheet</Link>
    </p>
  </>
);
