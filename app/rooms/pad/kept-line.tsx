import { Button } from 'react-bootstrap';
import type { useKept } from './use-kept';

/** What became of what was done, and a way to keep again what could not be. */
export const KeptLine = ({ kept }: { kept: Pick<ReturnType<typeof useKept>, 'told' | 'unkept' | 'keepAgain'> }) => (
  <span role="status" className="small">
    {kept.told}{' '}
    {kept.unkept > 0 && (
      <Button variant="link" onClick={() => void kept.keepAgain()}>
        {kept.unkept === 1 ? 'Try to keep it again' : `Try to keep ${kept.unkept} tries again`}
      </Button>
    )}
  </span>
);
