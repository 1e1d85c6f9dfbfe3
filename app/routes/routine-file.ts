import { noteInTrail } from '../../server/db/queries/audit.server';
import { findTemplate } from '../../server/db/queries/templates.server';
import { notFound, permitted } from '../../server/access/session.server';
import type { Route } from './+types/routine-file';

/** The routine as a document of docs/formats/routine.schema.json. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'routines');
  const template = await findTemplate(who.practiceId, params.templateId);
  if (!template) notFound('routine');
  await noteInTrail(who, 'template-taken-out', { template: template.id });
  const name =
    template.name
      .replace(/[^\p{L}\p{N} -]/gu, '')
      .trim()
      .replaceAll(' ', '-') || 'routine';
  return new Response(`${JSON.stringify(template.body, null, 2)}\n`, {
    headers: {
      ETag: `"${template.version}"`,
      'Content-Type': 'application/json; charset=utf-8',
      'Content-Disposition': `attachment; filename="routine.json"; filename*=UTF-8''${encodeURIComponent(name)}.json`,
    },
  });
}
