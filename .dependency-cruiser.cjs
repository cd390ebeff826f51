/** Boundaries: core imports nothing outside itself; web and server never each other; stages never later stages. */
const STAGES = [
  'setout',
  'gauge',
  'walling/units',
  'openings',
  'movement',
  'cavity',
  'steel',
  'grout',
  'retain',
  'mud',
  'days',
  'checks',
  'tally',
];
const stageRules = STAGES.slice(0, -1).map((stage, i) => ({
  name: `${stage}-reads-only-earlier-stages`,
  severity: 'error',
  from: { path: `^packages/core/src/${stage}/`, pathNot: '(issues|choices)\\.ts$|\\.test\\.ts$' },
  to: { path: `^packages/core/src/(${STAGES.slice(i + 1).join('|')})/` },
}));
module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '(\\.test\\.ts$|/test/)' },
      to: { pathNot: '^packages/core/src' },
    },
    {
      name: 'web-not-server',
      severity: 'error',
      from: { path: '^apps/web' },
      to: { path: '^apps/(server|cli)' },
    },
    {
      name: 'server-not-web',
      severity: 'error',
      from: { path: '^apps/server' },
      to: { path: '^apps/(web|cli)' },
    },
    ...stageRules,
  ],
  options: {
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules)/' },
  },
};
