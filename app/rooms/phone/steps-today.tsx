import { lazy, Suspense } from 'react';
import { doseWords, stepSeconds, stepsOf } from '../../../core/routine';
import { yourSides, type HomePacket } from '../../../core/schedule';
import { clock } from '../../../core/words';
import { PressureDot } from '../../parts/marks/marks';

/** Drawn when the page stands: a slow phone reads the words first. */
const StepDrawing = lazy(() => import('./home-player').then((m) => ({ default: m.StepDrawing })));

/** The steps of a plan: where, which side, how hard, what to do, how long. */
export function StepsToday({ packet, draws }: { packet: HomePacket; draws: boolean }) {
  const techniques = new Map(packet.techniques.map((t) => [t.id, t]));
  return (
    <>
      <ol className="steps-today">
        {stepsOf(packet.plan.routine).map((step) => {
          const technique = techniques.get(step.technique);
          const pressure = step.pressure?.there;
          return (
            <li key={step.id}>
              <div className="drawing" aria-hidden="true">
                {draws && (
                  <Suspense>
                    <StepDrawing step={step} jaw={packet.jaw} />
                  </Suspense>
                )}
              </div>
              <div>
                <h2>
                  {step.label ?? technique?.name}
                  <span className="num">{clock(stepSeconds(step))}</span>
                </h2>
                <p className="soft">
                  {yourSides(step.sides)}
                  {pressure && (
                    <>
                      {', '}
                      <PressureDot pressure={pressure} /> {pressure}
                    </>
                  )}
                  , {doseWords(step)}
                </p>
              </div>
            </li>
          );
        })}
      </ol>
      <p className="soft">Drawn as in your mirror: your left is on the left.</p>
    </>
  );
}
