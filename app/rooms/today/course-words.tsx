import { complaintName, type ComplaintKind, type Side } from '../../../core/words';

/** What a client comes for, as Today tells it. */
export interface DayCourse {
  complaintId: string;
  kind: ComplaintKind;
  label: string;
  side: Side;
  values: number[];
  verdict: string;
}
export const TONES = { better: 'var(--relief)', worse: 'var(--worse)' } as const;
const MARKS: Record<string, string> = { better: '▼ easier', worse: '▲ worse' };

/** The complaints of a client, and of the first of them the latest rating and what is said of its course. */
export function CourseWords({ courses }: { courses: readonly DayCourse[] }) {
  const [main] = courses;
  if (!main) return <div className="soft">not rated yet</div>;
  const last = main.values.at(-1);
  const tone = TONES[main.verdict as keyof typeof TONES];
  return (
    <>
      <div className="soft">{courses.map((c) => complaintName(c).toLowerCase()).join(', ')}</div>
      {last !== undefined && (
        <div style={tone && { color: tone }}>
          <strong className="num">{last}</strong> of 10 {MARKS[main.verdict] ?? 'no clear change'}
        </div>
      )}
    </>
  );
}
