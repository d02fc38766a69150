import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

const TEXT = /\.(js|css|html|svg|json)$/;
/** Shorter files gain nothing. */
const LEAST_BYTES = 900;

/** Packs every text file once, at build, so that the server never packs anything. */
function packed(): Plugin {
  let folder = '';
  return {
    name: 'packed',
    apply: 'build',
    configResolved: ({ root, build }) => void (folder = path.resolve(root, build.outDir)),
    closeBundle() {
      for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' })) {
        if (!TEXT.test(name) || name.startsWith('.vite')) continue;
        const file = path.join(folder, name);
        const body = readFileSync(file);
        if (body.length < LEAST_BYTES) continue;
        writeFileSync(`${file}.gz`, gzipSync(body, { level: 9 }));
        writeFileSync(
          `${file}.br`,
          brotliCompressSync(body, { params: { [constants.BROTLI_PARAM_QUALITY]: 10 } }),
        );
      }
    },
  };
}

/** The fonts that the first page is written in, asked for with it instead of once its styles are there. */
function fontsAhead(): Plugin {
  return {
    name: 'fonts-ahead',
    apply: 'build',
    transformIndexHtml: {
      order: 'post',
      handler: (_html, { bundle }) =>
        Object.keys(bundle ?? {})
          .filter((file) => /latin-wght-normal-[\w-]+\.woff2$/.test(file))
          .map((file) => ({
            tag: 'link',
            injectTo: 'head' as const,
            attrs: { rel: 'preload', as: 'font', type: 'font/woff2', href: `/${file}`, crossorigin: '' },
          })),
    },
  };
}

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      strategies: 'injectManifest',
      filename: 'sw.ts',
      srcDir: '.',
      injectRegister: false,
      manifest: false,
      injectManifest: {
        globPatterns: ['**/*.{js,css,html,svg}', '**/*latin-wght*.woff2'],
        // What is printed in sets is made by educators, with the network there: no phone carries it along.
        globIgnores: ['**/paper*'],
        maximumFileSizeToCacheInBytes: 4 * 1024 * 1024,
      },
    }),
    fontsAhead(),
    packed(),
  ],
  // `npm run dev` says which server is ours; without it no other is asked.
  server: { proxy: process.env.CIMBEL_API ? { '/api': { target: process.env.CIMBEL_API } } : {} },
  worker: { format: 'es' },
  // Files this small would become data: addresses, which the content policy keeps out of styles and workers.
  build: { assetsInlineLimit: 0, manifest: true },
});
