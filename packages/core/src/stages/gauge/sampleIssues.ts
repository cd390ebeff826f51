import { INCH, millimetres, SAME_PLACE, toMillimetres } from '../../measure/length.js';
import { sayMm, writeLength } from '../../measure/format.js';
import { issue, type Issue } from '../../findings/issue.js';
import { leastJointFor, type Sampled } from '../set-out/samples.js';
import type { SetWall } from '../set-out/wall.js';

interface Sampling {
  units: Sampled | null;
  joint: number;
  limits: { least: number; most: number };
  key: 'bed' | 'head';
  name: string;
  largest: string;
}

/** Units that vary more than the joint chosen can hide. */
export function sampleIssues(wall: SetWall): Issue[] {
  const say = (n: number): string => sayMm(n, wall.show);
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
      name: 'bed',
      largest: 'thickest',
    },
    {
      units: wall.samples.length,
      joint: wall.head,
      limits: of(head),
      key: 'head',
      name: 'perp',
      largest: 'longest',
    },
  ];
  return samplings.flatMap(({ units, joint, limits, key, name, largest }) => {
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
        says: `${units.count} units measured, ${say(units.least)} to ${say(units.most)}: the ${largest} would leave a ${name} of ${say(joint - units.most + units.mean)}, and the least allowed is ${say(limits.least)}. ${can ? `A ${name} of ${say(asked)} hides it.` : `No ${name} inside the limits hides it: sort the units, or set the ${largest} aside.`}`,
        source: 'least joint + (largest − mean): common practice',
        tries: () =>
          can
            ? [
                {
                  says: `Ask for ${say(asked)} ${name}s`,
                  edit: [{ op: 'add', path, value: writeLength(millimetres(asked), wall.show) }],
                },
              ]
            : [],
      }),
    ];
  });
}
