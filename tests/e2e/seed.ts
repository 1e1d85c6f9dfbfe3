import { seedDemo } from '../../demo/seed.ts';
import { prepare } from '../../scripts/lib/prepare.ts';
import { closeDatabase } from '../../server/db/connection.ts';

await prepare(process.env.DATABASE_URL!);
await seedDemo(new Date());
await closeDatabase();
