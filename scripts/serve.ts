/** Serves the built application against DATABASE_URL: `PORT=4310 npm run serve`. Any number of these may run side by side. */
import { closeDatabase, database } from '../server/db/connection.ts';
import { migrate } from '../server/db/migrate.ts';
import { listen } from '../server/http/listen.ts';
import { ensureBuild } from './lib/build.ts';

ensureBuild();
await migrate(database());
const server = await listen(Number(process.env.PORT ?? 4310), process.env.HOST);
console.log(`listening on ${process.env.PORT ?? 4310}`);
const stop = (): void => {
  server.closeAllConnections();
  server.close(() => void closeDatabase().finally(() => process.exit(0)));
};
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
