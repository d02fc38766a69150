import { build } from 'esbuild';
import { fileURLToPath } from 'node:url';

const here = (path) => fileURLToPath(new URL(path, import.meta.url));
await build({
  entryPoints: [here('./main.ts')],
  outfile: here('./dist/main.js'),
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  logLevel: 'warning',
  // Our own workspaces are TypeScript and go into the bundle; installed packages stay where they are.
  plugins: [
    {
      name: 'installed-packages-stay-outside',
      setup: (b) =>
        b.onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
          kind === 'entry-point' || path.startsWith('@cimbel/') ? undefined : { path, external: true },
        ),
    },
  ],
});
