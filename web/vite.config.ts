import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const api = process.env['GARNISH_API'];

export default defineConfig({
  plugins: [react(), tailwindcss()],
  // A strict policy allows no data: fonts or scripts, so nothing is inlined.
  build: { assetsInlineLimit: 0, target: 'es2022', modulePreload: { polyfill: false } },
  ...(api && { server: { host: '127.0.0.1', proxy: { '/api': api, '/proof': api } } }),
});
