import { data } from 'react-router';
import { notFound, permitted } from '../../server/access/session.server';
import { findTemplate, templateAsOf } from '../../server/db/queries/templates.server';
import type { Route } from './+types/routine-since';

/**
 * A routine of the practice that a visit's own one was copied from: what it was then, and what it is now. Null once it is
 * deleted, or where its version of then is not kept.
 */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'routines');
  const now = await findTemplate(practiceId, params.templateId);
  if (!now) return data(null, { status: 404 });
  const version = Number(new URL(request.url).searchParams.get('version') ?? now.version);
  if (!Number.isInteger(version) || version < 1) notFound('version');
  const base = await templateAsOf(practiceId, now, version);
  return base ? { id: now.id, name: now.name, version: now.version, base, now: now.body } : null;
}
