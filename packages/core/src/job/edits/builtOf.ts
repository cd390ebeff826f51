import { millimetres, toMillimetres, type Mm } from '../../measure/length.js';
import { writeLength } from '../../measure/format.js';
import { stated } from '../stated.js';
import type { Build, JobDocument, Stated, StoneBuild } from '../types.js';

/** What a wall is begun with where it has been of something else: sizes the trade begins with, by the measure of the job. */
const FIRST = {
  'ft-in': {
    thick: '18"',
    bed: '8"',
    long: '24"',
    course: '10"',
    top: '14"',
    cope: '10"',
    each: '3"',
    unit: 'cmu-8x8x16',
  },
  mm: {
    thick: 450,
    bed: 200,
    long: 600,
    course: 250,
    top: 350,
    cope: 250,
    each: 80,
    unit: 'block-440x215x100',
  },
} as const;

/** A dry wall is as wide at its base as half its height, and never under this, mm. */
const LEAST_BASE = 600;

const inTens = (mm: Mm, show: JobDocument['show']): Stated =>
  writeLength(millimetres(show === 'mm' ? Math.ceil(mm / 10) * 10 : Math.ceil(mm / 25.4) * 25.4), show);

/** A wall built of another kind of thing: what both know of is kept (the stone, the mix, the thickness), the rest is as such walls begin. */
export function builtOf(job: JobDocument, index: number, kind: Build['kind']): Build | null {
  const wall = job.walls[index];
  if (!wall || wall.build.kind === kind) return null;
  const was = wall.build;
  const first = FIRST[job.show];
  const mix = was.kind !== 'dry' && was.mix !== undefined ? { mix: was.mix } : {};
  if (kind === 'units') return { kind, unit: first.unit, bond: 'half', ...mix };
  const stone = was.kind === 'units' ? 'limestone' : was.stone;
  const kept: Pick<StoneBuild, 'copes'> = was.kind !== 'units' && was.copes ? { copes: was.copes } : {};
  const thickness: Stated =
    was.kind === 'rubble' || was.kind === 'squared'
      ? was.thickness
      : was.kind === 'dry'
        ? was.base
        : first.thick;
  switch (kind) {
    case 'dry': {
      const half = toMillimetres(stated(wall.height)) / 2;
      return {
        kind,
        stone,
        base: inTens(Math.max(LEAST_BASE, half), job.show),
        top: first.top,
        copes: kept.copes ?? { height: first.cope, each: first.each },
      };
    }
    case 'ashlar':
      return { kind, stone, bed: first.bed, courses: [first.course], longest: first.long, ...mix, ...kept };
    default:
      return { kind, stone, thickness, ...mix, ...kept };
  }
}
