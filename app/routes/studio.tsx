import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import '@fontsource-variable/atkinson-hyperlegible-mono/index.css';
import '@fontsource-variable/bricolage-grotesque/index.css';
import '../styles/theme.scss';
import { isRouteErrorResponse, Outlet, useRouteError } from 'react-router';
import { AwayNote } from '../parts/frame/away-note';
import { whenReachable } from '../parts/frame/reach';
import { Wordmark } from '../parts/marks/wordmark';
import type { Route } from './+types/studio';

/** Where one goes without a session. */
const isDoor = (path: string) => ['/sign-in', '/sign-out', '/new-practice'].includes(path) || path.startsWith('/join/');

/** Nothing is sent where it would be lost: it waits, and the page stays as it is. */
export const clientMiddleware: Route.ClientMiddlewareFunction[] = [
  async ({ request }, next) => {
    await whenReachable(request.signal, !isDoor(new URL(request.url).pathname));
    return next();
  },
];

/** Everything that is worked with in the practice; what clients open at home stands beside it. */
export default function Studio() {
  return (
    <>
      <AwayNote />
      <Outlet />
    </>
  );
}

const PLAIN: Record<number, [string, string]> = {
  403: ['Not for you to open', 'This is for others of the practice.'],
  404: ['Not here', 'This page is not here. It may have been removed, or the address has a slip in it.'],
  503: [
    'The records cannot be reached',
    'The database does not answer. Nothing that was saved is lost. Try again in a moment; nothing has to be restarted.',
  ],
};

/** Every page that cannot be shown, in the application's own look. */
export function ErrorBoundary() {
  const error = useRouteError();
  const status = isRouteErrorResponse(error) ? error.status : 500;
  const [title, text] = PLAIN[status] ?? [
    'Something went wrong',
    'The page could not be made. What was saved is kept. Try again, or go back to Today.',
  ];
  const why =
    isRouteErrorResponse(error) && status === 403 ? (error.data as { message?: unknown } | null)?.message : null;
  const told =
    typeof why === 'string'
      ? why
      : isRouteErrorResponse(error) &&
          status === 404 &&
          typeof error.data === 'string' &&
          !error.data.startsWith('Error:')
        ? error.data
        : text;
  return (
    <main className="sign">
      <Wordmark />
      <h1>{title}</h1>
      <p>{told}</p>
      <p>
        {status >= 500 && (
          <>
            <a href="">Try again</a> or{' '}
          </>
        )}
        <a href="/today">{status >= 500 ? 'go to Today' : 'Go to Today'}</a>
      </p>
    </main>
  );
}
