import { INCH, millimetres, SAME_PLACE, toMillimetres } from '../../measure/length.js';
import { writeLength } from '../../measure/format.js';
import { SAYS } from './messages.js';
import { issue, type Issue } from '../../findings/issue.js';
import { leastJointFor, type Sampled } from '../set-out/samples.js';
import type { SetWall } from '../set-out/wall.js';

interface Sampling {
  units: Sampled | null;
  joint: number;
  limits: { least: number; most: number };
  key: 'bed' | 'head';
}

/** Units that vary more than the joint chosen can hide. */
export function sampleIssues(wall: SetWall): Issue[] {
  const { bed, head } = wall.profile;
  const of = (l: typeof bed): { least: number; most: number } => ({
    least: toMillimetres(l.least),
    most: toMillimetres(l.most),
  });
  const samplings: Sampling[] = [
    {
      units: wall.samples.height,
      joint: wall.bed,
      limits: of(bed),
      key: 'bed',
    },
    {
      units: wall.samples.length,
      joint: wall.head,
      limits: of(head),
      key: 'head',
    },
  ];
  return samplings.flatMap(({ units, joint, limits, key }) => {
    if (!units) return [];
    const least = leastJointFor(units, limits.least);
    if (joint >= least - SAME_PLACE) return [];
    const step = wall.show === 'mm' ? 0.5 : INCH / 32;
    const asked = Math.ceil(least / step - 1e-9) * step;
    const can = asked <= limits.most + SAME_PLACE;
    const path = `/walls/${wall.index}/build/${key}`;
    return [
      issue({
        code: 'unit-varies',
        stage: 'gauge',
        severity: can ? 'choice' : 'fault',
        run: key === 'head' ? 0 : null,
        says: SAYS['units-vary']({
          count: units.count,
          least: units.least,
          most: units.most,
          joint: key,
          leaves: joint - units.most + units.mean,
          allowed: limits.least,
          way: can ? SAYS['joint-hides']({ joint: key, at: asked }) : SAYS['no-joint-hides']({ joint: key }),
        }),
        source: 'least joint + (largest − mean): common practice',
        tries: () =>
          can
            ? [
                {
                  says: SAYS['ask-for-joint']({ joint: key, at: asked }),
                  edit: [{ op: 'add', path, value: writeLength(millimetres(asked), wall.show) }],
                },
              ]
            : [],
      }),
    ];
  });
}
