import { seedDemo } from '../../demo/seed.ts';
import { closeDatabase } from '../../server/db/connection.ts';

await seedDemo(new Date());
await closeDatabase();
