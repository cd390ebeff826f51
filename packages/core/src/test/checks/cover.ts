import { INCH } from '../../measure/length.js';
import { planOf, straight } from '../jobs.js';
import { firstThat } from './bisect.js';
import { exactly, type PublishedCheck } from './list.js';

/** Cover of a bar that stands as near the soil as it may, in 12 in block, in. */
function cover(bar: string, aggregate: 'fine' | 'coarse'): number {
  const place = planOf({
    line: straight("24'"),
    height: "4'",
    unit: 'cmu-12x8x16',
    wall: {
      held: 'soil',
      retains: { height: "2'" },
      jointEvery: "60'",
      steel: { vertical: { bar, every: '32"' } },
      grout: { fill: 'steel', aggregate },
    },
  }).steel.place;
  return (place?.cover.outside.has ?? NaN) / INCH;
}

/** The least width of a footing that is not found too narrow, mm. */
const leastWidth = (profile: 'us' | 'uk', unit: string, step: number): number =>
  firstThat(step, 700, step, (width) =>
    planOf({
      profile,
      show: profile === 'uk' ? 'mm' : 'ft-in',
      unit,
      line: straight(4000),
      height: 1200,
      wall: { jointEvery: 90_000, footing: { width, depth: 300 } },
    }).findings.every((f) => f.code !== 'footing-thin'),
  );

export const COVER: PublishedCheck[] = [
  ...(['#3', '#4', '#5', '#6', '#7', '#8', '#9'] as const).map((bar, i) =>
    exactly(
      `cover ${bar}`,
      `masonry cover of ${bar} to soil, fine grout in a 1¼ in shell`,
      i < 3 ? 1.5 : 2,
      'in',
      'TMS 402 6.1.4, from memory',
      () => cover(bar, 'fine'),
    ),
  ),
  exactly(
    'GR coarse',
    'cover of #5 to soil with coarse grout: 1¼ in of shell and ½ in clear',
    1.75,
    'in',
    'TMS 602 3.4 B, from memory',
    () => cover('#5', 'coarse'),
  ),
  exactly(
    'IRC width',
    'least footing under 4 in block',
    12,
    'in',
    'IRC R403.1, from memory',
    () => leastWidth('us', 'cmu-4x8x16', INCH) / INCH,
  ),
  exactly(
    'IRC projection',
    'least footing under 12 in block: 11⅝ and 2 past each face',
    15.625,
    'in',
    'IRC R403.1.1, from memory',
    () => leastWidth('us', 'cmu-12x8x16', INCH / 8) / INCH,
  ),
  exactly('AD A width', 'least footing under half a brick', 250, 'mm', 'AD A 2E, from memory', () =>
    leastWidth('uk', 'brick-215x102.5x65', 5),
  ),
];
