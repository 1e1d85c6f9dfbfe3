import { type ComponentType, lazy, Suspense, useState } from 'react';
import { Button } from 'react-bootstrap';
import type { ProposalProps } from './proposal-view';

type View = ComponentType<ProposalProps & { onAgain: () => void }>;
/** Fetched when it is asked for, the solver beside it; where there is no network it says so in place of the view. */
const fetched = () =>
  lazy<View>(() =>
    import('./proposal-view').then(
      (m) => ({ default: m.ProposalView as View }),
      () => ({ default: NotFetched }),
    ),
  );

function NotFetched({ onLeave, onAgain }: ProposalProps & { onAgain: () => void }) {
  return (
    <main className="p-4 narrow" role="alert">
      <h1>Proposed routine</h1>
      <p>
        The part that works out a routine could not be fetched: there is no network, or the server does not answer. The
        present routine stays as it is.
      </p>
      <p className="d-flex gap-2">
        <Button onClick={onAgain}>Try again</Button>
        <Button variant="outline-primary" onClick={onLeave}>
          Leave
        </Button>
      </p>
    </main>
  );
}

/** A routine proposed, as soon as its view is here. */
export function ProposalHere(props: ProposalProps) {
  const [View, setView] = useState(fetched);
  return (
    <Suspense fallback={<p className="soft p-4">Getting ready …</p>}>
      <View {...props} onAgain={() => setView(fetched)} />
    </Suspense>
  );
}
