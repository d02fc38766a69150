import { build, context } from 'esbuild';
import { fileURLToPath } from 'node:url';

const here = (path) => fileURLToPath(new URL(path, import.meta.url));
const options = {
  entryPoints: {
    main: here('./main.ts'),
    worker: here('./jobs/worker.ts'),
    people: here('./people.ts'),
  },
  outdir: here('./dist'),
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
};

/** Builds anew with every change; `onBuilt` is told of each that came off, the first apart. */
export async function watchServer(onBuilt) {
  let built = 0;
  const told = {
    name: 'tell',
    setup: (b) => {
      b.onEnd(({ errors }) => {
        if (errors.length === 0 && built++ > 0) void onBuilt();
      });
    },
  };
  const watching = await context({ ...options, plugins: [...options.plugins, told] });
  await watching.watch();
  return watching;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) await build(options);
