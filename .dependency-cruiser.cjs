const { readdirSync } = require('node:fs');

/** Boundaries: core imports nothing outside itself; web and server never each other; stages never later stages. */
const IN_ORDER = [
  'stages/set-out',
  'stages/gauge',
  'walling',
  'stages/bond',
  'stages/stone',
  'stages/mending',
  'stages/lintels',
  'stages/ground',
  'stages/standing',
  'stages/earth',
  'stages/frame',
  'stages/movement',
  'stages/pairing',
  'stages/cavity',
  'stages/steel',
  'stages/grout',
  'stages/retain',
  'stages/tally',
  'stages/mud',
];
// A stage that is not in the order is held by no rule: there is none such.
for (const { name } of readdirSync('packages/core/src/stages', { withFileTypes: true }).filter((d) =>
  d.isDirectory(),
))
  if (!IN_ORDER.includes(`stages/${name}`))
    throw new Error(`stages/${name} has no place in the order of the stages`);

const stageRules = IN_ORDER.slice(0, -1).map((stage, i) => ({
  name: `${stage.replace('/', '-')}-reads-only-earlier-stages`,
  severity: 'error',
  from: { path: `^packages/core/src/${stage}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^packages/core/src/(${IN_ORDER.slice(i + 1).join('|')})/` },
}));
/** What a stage says of itself is read by the plan and drawn by the scene, and never the other way, types included. */
const beneath = {
  name: 'stages-know-nothing-of-the-plan',
  severity: 'error',
  from: {
    path: '^packages/core/src/(stages|walling|findings|tables|job|measure|places|statement)/',
    pathNot: '\\.test\\.ts$',
  },
  to: { path: '^packages/core/src/(plan|scene|exchange|record)/' },
};
/** The record lies under the plan: what happened depends on nothing but measures and places. So do the statements of documents. */
const underneath = {
  name: 'the-record-lies-under-the-plan',
  severity: 'error',
  from: { path: '^packages/core/src/(record|places|statement|measure)/', pathNot: '\\.test\\.ts$' },
  to: {
    path: '^packages/core/src/',
    pathNot: '^packages/core/src/(record|places|statement|measure|messages)/',
  },
};
/** What may be said is loaded with the first screen, and the form of a job, with all it reads, is not. */
const messagesAreLight = {
  name: 'messages-read-no-form',
  severity: 'error',
  from: { path: '^packages/core/src/.*[mM]essages\\.ts$' },
  to: { path: '^packages/core/src/job/forms/(?!stands|stoneUses)', dependencyTypesNot: ['type-only'] },
};
module.exports = {
  forbidden: [
    messagesAreLight,
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
      name: 'exports-read-the-core-alone',
      severity: 'error',
      from: { path: '^packages/exports/src' },
      to: { path: '^apps/' },
    },
    {
      name: 'what-runs-anywhere-knows-no-node',
      severity: 'error',
      from: { path: '^packages/exports/src', pathNot: '(^packages/exports/src/node/|\\.test\\.ts$)' },
      to: { path: '(^packages/exports/src/node/|pdfkit|resvg)' },
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
    beneath,
    underneath,
  ],
  options: {
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules)/' },
  },
};
