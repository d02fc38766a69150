import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  // `npm run dev -w web` beside a running `npm start`.
  server: { proxy: { '/api': { target: 'http://127.0.0.1:4600', changeOrigin: true } } },
  worker: { format: 'es' },
  // Files this small would become data: addresses, which the content policy keeps out of styles and workers.
  build: { assetsInlineLimit: 0 },
});
