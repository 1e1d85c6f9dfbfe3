import { checkRoutine } from '../../../core/rules';
import { useMemo } from 'react';
import { findTemplate } from '../../../server/db/queries/templates.server';
import { ownTechniques } from '../../../server/db/queries/techniques.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { withOwn } from '../../parts/catalogue/catalogue';
import { standingMarks } from '../../parts/chart/chart-marks';
import { Sheet } from '../../parts/paper/sheet';
import { RoutinePaper } from '../../rooms/paper/routine-paper';
import type { Route } from './+types/template';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'routines');
  const [template, own] = await Promise.all([findTemplate(practiceId, params.templateId), ownTechniques(practiceId)]);
  if (!template) notFound('routine');
  return { template, own };
}
export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.template.name ?? 'Routine'} · Velvet Compass` },
];

/** A routine of the practice on paper. */
export default function TemplatePaper({ loaderData: { template, own } }: Route.ComponentProps) {
  const catalogue = useMemo(() => withOwn(own), [own]);
  const keepOff = useMemo(() => standingMarks(), []);
  return (
    <Sheet
      title="Routine"
      asFile={template.name}
      back={{ to: `/routines/${template.id}`, words: 'Back to the routine' }}
    >
      <RoutinePaper
        routine={template.body}
        catalogue={catalogue}
        findings={checkRoutine(template.body, catalogue)}
        keepOff={keepOff}
      />
    </Sheet>
  );
}
