import type { SoilTest } from '../../job/forms/earth.js';
import { stated } from '../../job/stated.js';
import type { Stated } from '../../job/types.js';
import { toMillimetres, type Mm } from '../../measure/length.js';
import { SOIL } from '../../tables/earthWalls.js';

/** What a test comes to: good, or what the soil wants more of. */
export type SoilVerdict = 'good' | 'more-sand' | 'more-clay' | 'less-silt' | 'not-yet' | 'no';

export interface SoilJudged {
  test: SoilTest;
  verdict: SoilVerdict;
  /** What was measured, as a part: of clay in a jar, of what a box has shrunk by. */
  share: number | null;
  /** Parts of a jar. */
  parts: { sand: number; silt: number; clay: number } | null;
}

const mm = (l: Stated): Mm => toMillimetres(stated(l));

function jar(test: Extract<SoilTest, { kind: 'jar' }>): SoilJudged {
  const [sand, silt, clay] = [test.sand, test.silt, test.clay].map(mm) as [Mm, Mm, Mm];
  const all = sand + silt + clay;
  const parts = { sand: sand / all, silt: silt / all, clay: clay / all };
  const verdict: SoilVerdict =
    parts.clay < SOIL.clay[0]
      ? 'more-clay'
      : parts.clay > SOIL.clay[1] || parts.sand < SOIL.sand[0]
        ? 'more-sand'
        : parts.silt > SOIL.silt[1]
          ? 'less-silt'
          : 'good';
  return { test, verdict, share: parts.clay, parts };
}

/** A test of soil, judged by what builders go by: common practice. */
export function soilJudged(test: SoilTest): SoilJudged {
  switch (test.kind) {
    case 'jar':
      return jar(test);
    case 'roll': {
      const breaks = mm(test.breaks);
      const verdict = breaks < SOIL.roll[0] ? 'more-clay' : breaks > SOIL.roll[1] ? 'more-sand' : 'good';
      return { test, verdict, share: null, parts: null };
    }
    case 'drop':
      return {
        test,
        verdict: test.comes === 'broken' ? 'no' : test.comes === 'chipped' ? 'not-yet' : 'good',
        share: null,
        parts: null,
      };
    default: {
      const share = mm(test.gap) / mm(test.box);
      return { test, verdict: share > SOIL.shrinks ? 'more-sand' : 'good', share, parts: null };
    }
  }
}
