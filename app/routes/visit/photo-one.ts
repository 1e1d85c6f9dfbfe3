import { checkedMarks } from '../../../core/measures';
import { InputError } from '../../../core/words';
import { data } from 'react-router';
import { mixed, number, object, string } from 'yup';
import { erasePhoto, markPhoto, photoBytes, photoSize } from '../../../server/db/queries/photos.server';
import { readJson } from '../../schemas/read';
import { notFound, permitted } from '../../../server/access/session.server';
import type { Route } from './+types/photo-one';

/** The picture itself, for this practice only; once erased, no cache shows it any more. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'care');
  const bytes = await photoBytes(practiceId, params.visitId, params.photoId);
  if (!bytes) notFound('photo');
  return new Response(new Uint8Array(bytes), {
    headers: { 'Content-Type': 'image/jpeg', 'Cache-Control': 'no-store', 'X-Content-Type-Options': 'nosniff' },
  });
}

const bodySchema = object({
  do: string()
    .oneOf(['mark', 'erase'] as const, 'Mark or erase is accepted.')
    .required(),
  version: number().integer().min(1).optional(),
  landmarks: mixed().optional(),
});

/** Landmarks of a photo, or its erasure. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const { visitId, photoId } = params;
  const size = await photoSize(who.practiceId, visitId, photoId);
  if (!size) return data({ message: 'This photo is not here.' }, { status: 404 });
  const input = await readJson(request, bodySchema);
  if (!input.ok) return data({ message: Object.values(input.errors)[0] }, { status: 422 });
  if (input.value.do === 'erase')
    return (await erasePhoto(who, visitId, photoId))
      ? { erased: true }
      : data({ message: 'This photo is not here.' }, { status: 404 });
  try {
    const marked = await markPhoto(
      who.practiceId,
      visitId,
      photoId,
      input.value.version ?? 0,
      checkedMarks(input.value.landmarks, size),
    );
    if (marked === 'missing') return data({ message: 'This photo is not here.' }, { status: 404 });
    if (marked === 'stale')
      return data(
        { message: 'The marks were changed in another window. Load the page again to see them.' },
        { status: 409 },
      );
    return { photo: marked };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return data({ message: error.message }, { status: 422 });
  }
}
