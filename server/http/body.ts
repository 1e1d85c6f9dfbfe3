import type { NextFunction, Request, Response } from 'express';
import getRawBody from 'raw-body';
import { LARGEST_PHOTO_BYTES } from '../photo-file.server.ts';

/** Nothing this application takes in is larger, but for a photo. */
const LARGEST_BODY_BYTES = 1_000_000;
const PHOTO_PATH = /^\/visits\/[^/]+\/photo(\.data)?$/;
/** A file that is brought in comes in pieces. */
const PIECE_PATH = /^\/practice\/in\/[^/]+\/part\/\d+(\.data)?$/;
const BYTES = /^application\/octet-stream\s*(;|$)/i;
const FORMS = /^(application\/x-www-form-urlencoded|multipart\/form-data|application\/json)\s*(;|$)/i;
const PICTURES = /^(image\/[\w.+-]+|application\/octet-stream)\s*(;|$)/i;

/**
 * Reads the body as it arrives and stops at the limit, whatever its header says: what is behind this never sees more.
 * The bytes are left in `response.locals.body`.
 */
export async function readBody(request: Request, response: Response, next: NextFunction): Promise<void> {
  if (request.method !== 'POST') return next();
  const isPhoto = PHOTO_PATH.test(request.path);
  const refuse = (status: number, message: string) => {
    // Whatever else is on its way is not read.
    response.set('Connection', 'close').status(status).type('text/plain').send(message);
  };
  const type = request.headers['content-type'] ?? '';
  const [accepted, words] = isPhoto
    ? [PICTURES, 'A JPEG, PNG or WebP photo is accepted.']
    : PIECE_PATH.test(request.path)
      ? [BYTES, 'The bytes of a file are accepted.']
      : [FORMS, 'A form or JSON is accepted.'];
  if (!accepted.test(type)) return refuse(415, words);
  if (request.headers['content-encoding'] && request.headers['content-encoding'] !== 'identity')
    return refuse(415, 'A packed body is not accepted.');
  const limit = isPhoto ? LARGEST_PHOTO_BYTES : LARGEST_BODY_BYTES;
  try {
    response.locals.body = await getRawBody(request, { limit });
  } catch (error) {
    const { status, type: why } = error as { status?: number; type?: string };
    if (why === 'request.aborted') return;
    return refuse(
      status === 413 ? 413 : 400,
      status === 413 ? `That is too large; at most ${limit / 1_000_000} MB is accepted.` : 'This request ended early.',
    );
  }
  next();
}
