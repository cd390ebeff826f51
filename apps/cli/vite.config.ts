import { defaultServerConditions, defineConfig } from 'vite';

// One file: a command is run often and lives a moment, and looking two hundred files up takes longer than to plan a wall.
/** From the source, whether or not anything else has been built. */
const conditions = ['@even-tally/source', ...defaultServerConditions];

export default defineConfig({
  root: import.meta.dirname,
  // What draws pages is loaded when a page is asked for, from where it was installed.
  ssr: { noExternal: true, external: ['pdfkit', '@resvg/resvg-js'], resolve: { conditions } },
  build: { ssr: 'src/main.ts', target: 'node20', minify: false },
});
