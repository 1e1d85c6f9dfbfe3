import { useRef, useState } from 'react';
import { NotBrought, type Outcome, sendFile, workOn } from './send-file';

/** How far a file has come. */
type Stage =
  | { at: 'choosing' }
  | { at: 'busy'; words: string; share: number }
  | { at: 'looked'; outcome: Outcome }
  | { at: 'kept'; outcome: Outcome };

const KEPT = 'All of the file is kept; courses are judged by and by.';
const UNSURE = 'All of the file was kept, or nothing of it: look at it again to see.';

/** Sends a file, looks at it, keeps it; each can be stopped, and what went wrong is told. */
export function useBring() {
  const [stage, setStage] = useState<Stage>({ at: 'choosing' });
  const [failed, setFailed] = useState('');
  /** The file that lies there already, as long as it is the same one. */
  const sent = useRef<{ file: File; id: string } | null>(null);
  const stop = useRef<AbortController | null>(null);

  const run = async (file: File, isArchive: boolean, ask: { keeps: boolean }) => {
    let isKept = false;
    const control = (stop.current = new AbortController());
    setFailed('');
    const busy = (words: string) => (share: number) => setStage({ at: 'busy', words, share });
    try {
      if (sent.current?.file !== file) {
        busy('Sending')(0);
        const id = await sendFile(file, isArchive ? 'archive' : 'table', busy('Sending'), control.signal);
        sent.current = { file, id };
      }
      const going = (share: number, isJudging = false) => {
        isKept ||= isJudging;
        busy(isJudging ? 'All of it is kept; courses are judged' : ask.keeps ? 'Bringing in' : 'Looking')(share);
      };
      going(0);
      const outcome = await workOn(sent.current.id, ask, going, control.signal);
      if (ask.keeps) sent.current = null;
      setStage({ at: ask.keeps ? 'kept' : 'looked', outcome });
    } catch (error) {
      setStage({ at: 'choosing' });
      // The last word may have been on its way: what became of it is known by another look only.
      const end = isKept ? KEPT : ask.keeps ? UNSURE : 'Nothing of the file was kept.';
      if (control.signal.aborted) setFailed(`Stopped. ${end}`);
      else {
        setFailed(error instanceof NotBrought ? error.message : `No connection. ${end}`);
        // What lies there may be gone: it is sent again.
        sent.current = null;
      }
    }
  };
  return {
    stage,
    failed,
    run,
    stop: () => stop.current?.abort(),
    /** Something was chosen otherwise: what was looked at is no longer what would come. */
    anew: () => {
      setStage({ at: 'choosing' });
      setFailed('');
    },
  };
}
