import type { Plugin } from 'vite';

/** Modules from which everything that a phone runs is reached. */
const ROOTS = ['app/entry.client.tsx', 'app/root.tsx', 'app/routes/phone/page.tsx', 'app/rooms/phone/home-player.tsx'];
/** Reached only when it is asked for, and needed all the same. */
const ASKED_FOR = /\/(jaw-)?fibres-[\w-]+\.js$/;

/** Notes, while the browser's files are made, which of them a phone needs: code, styles and fonts of its page. */
export function phoneFiles(): { plugin: Plugin; files: ReadonlySet<string> } {
  const files = new Set<string>();
  const plugin: Plugin = {
    name: 'phone-files',
    generateBundle(_options, bundle) {
      const chunks = Object.values(bundle).filter((o) => o.type === 'chunk');
      const isRoot = (id: string) => ROOTS.some((root) => id.split('?')[0]!.endsWith(root));
      const open = chunks.filter((c) => c.moduleIds.some(isRoot)).map((c) => c.fileName);
      while (open.length) {
        const name = open.pop()!;
        const chunk = bundle[name];
        if (files.has(name) || chunk?.type !== 'chunk') continue;
        files.add(name);
        for (const css of chunk.viteMetadata?.importedCss ?? []) files.add(css);
        open.push(...chunk.imports, ...chunk.dynamicImports.filter((f) => ASKED_FOR.test(`/${f}`)));
      }
    },
  };
  return { plugin, files };
}
