import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig, type Plugin } from 'vite';

/**
 * The page begins without Spanish: half of what the first screen would load is its texts. They come, all of them, when somebody reads it
 * (`state/reading.ts`). Workers have them from the beginning: nobody waits for those.
 */
const spanishWhenRead: Plugin = {
  name: 'spanish-when-read',
  enforce: 'pre',
  load(id) {
    if (!id.endsWith('/packages/words/src/es/index.ts')) return null;
    return [
      'export const es = {};',
      `export const spanish = { load: () => import(${JSON.stringify(`${id}?whole`)}).then((m) => void Object.assign(es, m.es)) };`,
    ].join('\n');
  },
};

export default defineConfig({
  root: import.meta.dirname,
  plugins: [spanishWhenRead, react(), tailwindcss()],
  resolve: { conditions: ['@even-tally/source', ...defaultClientConditions] },
  worker: { format: 'es' },
  build: { target: 'es2022', sourcemap: false, assetsInlineLimit: 0 },
  server: { proxy: { '/api': 'http://127.0.0.1:4600' } },
});
