import { Router, type Response } from 'express';
import { isReady } from '../db/ready.ts';

const answer = (response: Response, status: number, words: string) =>
  void response.status(status).set('Cache-Control', 'no-store').type('text/plain').send(words);

/** For whoever watches the process: alive at all, and able to serve. No sign-in, nothing about the practice. */
export function health(): Router {
  const router = Router();
  router.get('/health', (_request, response) => answer(response, 200, 'alive'));
  router.get('/ready', (_request, response, next) => {
    isReady().then((why) => (why === null ? answer(response, 200, 'ready') : answer(response, 503, why)), next);
  });
  return router;
}
