import type { Catalogue } from '@even-tally/core';

export const scene: Catalogue['scene'] = {
  picks: '{picks}',
  pick: '{kind, select, stretcher {{count, plural, one {# stretcher} other {# stretchers}}} header {{count, plural, one {# header} other {# headers}}} half {{count, plural, one {# half} other {# halves}}} three_quarter {{count, plural, one {# three-quarter} other {# three-quarters}}} closer {{count, plural, one {# closer} other {# closers}}} corner {{count, plural, one {# corner} other {# corners}}} jamb {{count, plural, one {# jamb} other {# jambs}}} beam {{count, plural, one {# beam} other {# beams}}} bridging {{count, number} over openings} lintel {{count, plural, one {# lintel} other {# lintels}}} cap {{count, plural, one {# cap} other {# caps}}} cut {{count, plural, one {# cut} other {# cuts}}} other {{count, plural, one {# sawn} other {# sawn}}}}',
  'not-built': '{by} not built',
};
