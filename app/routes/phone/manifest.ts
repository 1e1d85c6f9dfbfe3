import { homePacket } from '../../../server/access/home-packet.server';
import { holderOf } from '../../../server/access/link.server';
import type { Route } from './+types/manifest';

/** How the page of one plan stands among the applications of a phone. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const { holder } = await holderOf(params.secret, context);
  const packet = await homePacket(holder, new Date());
  if (!packet) throw new Response('', { status: 404 });
  return Response.json(
    {
      name: `Home plan, ${packet.practice}`,
      short_name: 'Home plan',
      start_url: `/h/${params.secret}`,
      scope: '/h/',
      display: 'standalone',
      background_color: '#ffffff',
      theme_color: '#5a2a5c',
      icons: [192, 512].map((px) => ({ src: `/icon-${px}.png`, sizes: `${px}x${px}`, type: 'image/png' })),
    },
    { headers: { 'Content-Type': 'application/manifest+json', 'Cache-Control': 'no-store' } },
  );
}
