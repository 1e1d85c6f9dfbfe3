import { use } from 'react';
import { Links, Meta, Outlet, Scripts, ScrollRestoration, useRouteLoaderData } from 'react-router';
import type { Route } from './+types/root';
import { NonceContext } from './nonce';
import { roomOf } from '../server/access/session.server';

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

export default function Root() {
  return <Outlet />;
}

/** Not even a page could be made; everything else is answered closer to where it went wrong. */
export function ErrorBoundary() {
  return (
    <main>
      <h1>Something went wrong</h1>
      <p>
        The page could not be made. What was saved is kept. <a href="">Try again</a>
      </p>
    </main>
  );
}
