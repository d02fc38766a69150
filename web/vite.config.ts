import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  // `npm run dev` says which server is ours; without it no other is asked.
  server: { proxy: process.env.CIMBEL_API ? { '/api': { target: process.env.CIMBEL_API } } : {} },
  worker: { format: 'es' },
  // Files this small would become data: addresses, which the content policy keeps out of styles and workers.
  build: { assetsInlineLimit: 0 },
});
