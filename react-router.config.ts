import type { Config } from '@react-router/dev/config';

// Every route is known from the first page on: what is not known cannot be opened when the network is cut.
export default { appDirectory: 'app', ssr: true, routeDiscovery: { mode: 'initial' } } satisfies Config;
