import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwind()],
  resolve: { conditions: ['which-way-source', 'module', 'browser', 'development|production'] },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:4170' } },
  build: { target: 'es2023', sourcemap: true, chunkSizeWarningLimit: 2200 },
});
