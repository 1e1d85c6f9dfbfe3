import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(dirname(fileURLToPath(import.meta.url))));
/** Everything that a run leaves on this machine: the cluster, its password, logs. Never committed. */
export const DATA = process.env.VELVET_DATA || join(ROOT, '.data');
