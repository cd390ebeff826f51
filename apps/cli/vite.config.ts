import { defaultServerConditions, defineConfig } from 'vite';

// One file: a command is run often and lives a moment, and looking two hundred files up takes longer than to plan a wall.
export default defineConfig({
  root: import.meta.dirname,
  resolve: { conditions: ['@even-tally/source', ...defaultServerConditions] },
  ssr: { noExternal: true },
  build: { ssr: 'src/main.ts', target: 'node20', minify: false },
});
