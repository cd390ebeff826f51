/** One Jest, five projects. Workspaces are modules; Jest reads them as CommonJS through swc. */
const toSource = {
  '^@even-tally/core$': '<rootDir>/packages/core/src/index.ts',
  '^@even-tally/words$': '<rootDir>/packages/words/src/index.ts',
  '^@even-tally/exports$': '<rootDir>/packages/exports/src/index.ts',
  '^@even-tally/exports/node$': '<rootDir>/packages/exports/src/node/index.ts',
  '^(\\.{1,2}/.*)\\.js$': '$1',
};
/** Packages that are modules only: read through swc too. */
const MODULES = ['intl-messageformat', '@formatjs', 'd3-[a-z-]+', 'internmap', 'idb'];
const swc = (extra = {}) => [
  '@swc/jest',
  {
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx: true, ...extra.parser },
      transform: { react: { runtime: 'automatic' }, ...extra.transform },
      keepClassNames: true,
    },
    module: { type: 'commonjs' },
  },
];
const project = (displayName, testMatch, rest = {}) => ({
  displayName,
  rootDir: import.meta.dirname,
  testMatch,
  testEnvironment: 'node',
  moduleNameMapper: toSource,
  transform: { '^.+\\.(t|j)sx?$': swc() },
  modulePathIgnorePatterns: ['/dist/', '/.data/'],
  transformIgnorePatterns: [`/node_modules/(?!(${MODULES.join('|')})/)`],
  ...rest,
});

export default {
  projects: [
    project('core', ['<rootDir>/packages/core/src/**/*.test.ts', '<rootDir>/apps/cli/src/**/*.test.ts'], {
      setupFilesAfterEnv: ['<rootDir>/packages/core/src/test/seed.ts'],
    }),
    project('exports', [
      '<rootDir>/packages/exports/src/**/*.test.ts',
      '<rootDir>/packages/words/src/**/*.test.ts',
    ]),
    project('server', ['<rootDir>/apps/server/test/**/*.test.ts'], {
      setupFiles: ['reflect-metadata'],
      transform: {
        '^.+\\.(t|j)sx?$': swc({
          parser: { decorators: true, tsx: false },
          transform: { legacyDecorator: true, decoratorMetadata: true },
        }),
      },
    }),
    project('web', ['<rootDir>/apps/web/test/**/*.test.ts?(x)'], {
      testEnvironment: '<rootDir>/apps/web/test/environment.mjs',
      setupFiles: ['fake-indexeddb/auto'],
      moduleNameMapper: {
        ...toSource,
        '\\.css$': '<rootDir>/apps/web/test/empty.mjs',
        'workers/start$': '<rootDir>/apps/web/test/planner.ts',
        '^\\./start$': '<rootDir>/apps/web/test/planner.ts',
      },
    }),
    project('e2e', ['<rootDir>/e2e/**/*.test.ts'], {
      globalSetup: '<rootDir>/e2e/open.ts',
      globalTeardown: '<rootDir>/e2e/close.ts',
    }),
  ],
};
