import type { OneSide } from '../../../core/words';
import { ComparePanel } from './compare-panel';
import { NotePanel } from './note-panel';
import { StopPanel } from './stop-panel';
import type { useRun } from './use-run';

export type Asking = 'stop' | 'note' | 'compare' | null;

/** What is asked in place while a run stands still: whether and why to stop, a note, how the sides compare. */
export function AskedPanel({
  asking,
  reasons,
  doneSide,
  note,
  onNote,
  onCompare,
  onPress,
  onClose,
}: {
  asking: NonNullable<Asking>;
  /** Where one works on oneself: why it is stopped is one of these. */
  reasons?: readonly string[] | undefined;
  doneSide: OneSide;
  /** Typed so far. */
  note: string;
  onNote: (words: string) => void;
  onCompare: () => void;
  onPress: ReturnType<typeof useRun>['press'];
  onClose: () => void;
}) {
  switch (asking) {
    case 'stop':
      return (
        <StopPanel
          reasons={reasons}
          words={reasons && 'Stop for now?'}
          onCancel={onClose}
          onStop={(reason) => {
            onPress({ kind: 'stop', reason });
            onClose();
          }}
        />
      );
    case 'note':
      return (
        <NotePanel
          text={note}
          onText={onNote}
          onCancel={onClose}
          onCompare={onCompare}
          onNote={(words) => {
            onPress({ kind: 'note', words });
            onNote('');
            onClose();
          }}
        />
      );
    case 'compare':
      return (
        <ComparePanel
          doneSide={doneSide}
          onCancel={onClose}
          onDone={(compare) => {
            onPress({ kind: 'compare', compare });
            onClose();
          }}
        />
      );
  }
}
