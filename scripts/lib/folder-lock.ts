import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Wrong } from './command.ts';

interface Holder {
  pid: number;
  /** When that process began, in ticks since the machine did: a number taken again is another process. */
  began: string;
  /** Where it serves, once it does. */
  at?: string;
  databasePort?: number;
}

/** When a process began; null when there is none of that number. */
export function processBegan(pid: number): string | null {
  try {
    // The name in parentheses may hold anything, spaces too.
    return (
      readFileSync(`/proc/${pid}/stat`, 'utf8')
        .replace(/^.*\) /s, '')
        .split(' ')[19] ?? null
    );
  } catch {
    return null;
  }
}

const fileOf = (folder: string) => join(folder, 'running.json');

/** Who works in a folder now; null when nobody does, whatever was left behind. */
export function holderOf(folder: string): Holder | null {
  try {
    const holder = JSON.parse(readFileSync(fileOf(folder), 'utf8')) as Holder;
    return processBegan(holder.pid) === holder.began ? holder : null;
  } catch {
    return null;
  }
}

export interface FolderLock {
  note: (more: Pick<Holder, 'at' | 'databasePort'>) => void;
  release: () => void;
}

/** Takes a folder for this process. @throws Wrong when another one works in it. */
export function takeFolder(folder: string): FolderLock {
  let own: Holder = { pid: process.pid, began: processBegan(process.pid) ?? '' };
  for (let i = 0; ; i++) {
    try {
      writeFileSync(fileOf(folder), JSON.stringify(own), { flag: 'wx' });
      break;
    } catch (error) {
      if ((error as { code?: string }).code !== 'EEXIST' || i > 3) throw error;
      const holder = holderOf(folder);
      if (holder)
        throw new Wrong(
          `Velvet Compass runs in this folder already${holder.at ? `, at ${holder.at}` : ' and is just starting'} (process ${holder.pid}); stop that one first`,
        );
      rmSync(fileOf(folder), { force: true });
    }
  }
  return {
    note: (more) => {
      own = { ...own, ...more };
      writeFileSync(fileOf(folder), JSON.stringify(own));
    },
    release: () => rmSync(fileOf(folder), { force: true }),
  };
}
