import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import '@fontsource-variable/atkinson-hyperlegible-mono/index.css';
import '@fontsource-variable/bricolage-grotesque/index.css';
import './styles/theme.scss';
import { use } from 'react';
import {
  isRouteErrorResponse,
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  useRouteError,
  useRouteLoaderData,
} from 'react-router';
import type { Route } from './+types/root';
import { NonceContext } from './nonce';
import { roomOf } from '../server/access/session.server';
import { AwayNote } from './parts/frame/away-note';
import { whenReachable } from './parts/frame/reach';
import { Wordmark } from './parts/marks/wordmark';

export async function loader({ request }: Route.LoaderArgs) {
  return { room: await roomOf(request) };
}
/** The room changes only by its own switch, which reloads. */
export const shouldRevalidate = ({ formAction }: { formAction?: string }): boolean => formAction === '/room';

export const meta: Route.MetaFunction = () => [{ title: 'Velvet Compass' }, { name: 'robots', content: 'noindex' }];

export function Layout({ children }: { children: React.ReactNode }) {
  const nonce = use(NonceContext);
  const root = useRouteLoaderData('root') as { room: string } | undefined;
  return (
    <html lang="en" data-bs-theme={root?.room === 'dim' ? 'dark' : 'light'}>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <link rel="icon" href="/favicon.svg" type="image/svg+xml" />
        <Meta />
        <Links nonce={nonce} />
      </head>
      <body>
        {children}
        <ScrollRestoration nonce={nonce} />
        <Scripts nonce={nonce} />
      </body>
    </html>
  );
}

/** Where one goes without a session. */
const DOORS: ReadonlySet<string> = new Set(['/sign-in', '/sign-out', '/new-practice']);

/** Nothing is sent where it would be lost: it waits, and the page stays as it is. */
export const clientMiddleware: Route.ClientMiddlewareFunction[] = [
  async ({ request }, next) => {
    await whenReachable(request.signal, !DOORS.has(new URL(request.url).pathname));
    return next();
  },
];

export default function Root() {
  return (
    <>
      <AwayNote />
      <Outlet />
    </>
  );
}

const PLAIN: Record<number, [string, string]> = {
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
  const told =
    isRouteErrorResponse(error) && status === 404 && typeof error.data === 'string' && !error.data.startsWith('Error:')
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
