import { checkJob, type Job } from '@even-tally/core';
import { readFileSync } from 'node:fs';

/** One straight run of 8 in block, no openings: 166′ 8″ × 33′ 4″ is 125 units by 50 courses. */
export function runOf(length: string, height: string): Job {
  const checked = checkJob({
    format: 'even-tally/job',
    version: 1,
    name: 'bench',
    show: 'ft-in',
    profile: 'us',
    walls: [
      {
        id: 'run',
        name: 'run',
        line: [{ run: length }],
        height,
        build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half' },
      },
    ],
  });
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  return checked.job;
}

/** A closed building of as many block with twenty openings: the file stands in the repository. */
export function building(): Job {
  const checked = checkJob(
    JSON.parse(readFileSync(new URL('../bench/building.json', import.meta.url), 'utf8')),
  );
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  return checked.job;
}

/** The same with uprights at 32 in, two beams and its cells filled. */
export function reinforced(job: Job): Job {
  const checked = checkJob({
    ...job,
    walls: job.walls.map((w) => ({
      ...w,
      steel: {
        vertical: { bar: '#4', every: '32"' },
        beams: [
          { course: 'top', bar: '#4', count: 2 },
          { course: 10, bar: '#4', count: 1 },
        ],
      },
      grout: { fill: 'steel' },
    })),
  });
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  return checked.job;
}

/** A reinforced wall of so many windows, every one of them off the bond. */
export function offBond(count: number): Job {
  const checked = checkJob({
    format: 'even-tally/job',
    version: 1,
    name: 'off the bond',
    show: 'mm',
    profile: 'us',
    walls: [
      {
        id: 'w',
        name: 'w',
        line: [{ run: 1700 + count * 2500 }],
        height: '9\' 4"',
        build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half' },
        openings: Array.from({ length: count }, (_, i) => ({
          id: `o${i}`,
          run: 0,
          at: 850 + i * 2500,
          width: 1100,
          sill: '2\' 8"',
          head: '6\' 8"',
        })),
        steel: {
          vertical: { bar: '#5', every: '32"' },
          beams: [
            { course: 'top', bar: '#4', count: 2 },
            { course: 'over-openings', bar: '#4', count: 1 },
          ],
        },
        grout: { fill: 'steel' },
        held: 'floors',
      },
    ],
  });
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  return checked.job;
}

/** A job near the 5 MB a file may have: walls with windows and with cells changed by hand. */
export function near5MB(): Job {
  const checked = checkJob({
    format: 'even-tally/job',
    version: 1,
    name: 'near 5 MB',
    show: 'ft-in',
    profile: 'us',
    walls: Array.from({ length: 1000 }, (_, i) => ({
      id: `w${i}`,
      name: `Wall ${i}`,
      line: [{ run: "40'", id: 'n' }],
      height: '8\' 8"',
      build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half' },
      openings: Array.from({ length: 2 }, (__, k) => ({
        id: `O${k}`,
        name: `Window ${k} of wall ${i}`,
        at: `${4 + k * 6}'`,
        width: '3\' 4"',
        sill: '3\' 4"',
        head: '6\' 8"',
      })),
      steel: {
        vertical: { bar: '#4', every: '32"' },
        cells: Array.from({ length: 88 }, (__, k) => ({
          id: `K${k}`,
          run: 0,
          at: 96.8375 + 101.6 * k,
          grout: true,
        })),
      },
      grout: { fill: 'steel' },
    })),
  });
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  return checked.job;
}

/** Sixty metres of rubble with ten openings. */
export function rubble(): Job {
  const checked = checkJob({
    format: 'even-tally/job',
    version: 1,
    name: 'rubble',
    show: 'ft-in',
    profile: 'uk',
    walls: [
      {
        id: 'rubble',
        name: 'rubble',
        line: [{ run: '60 m' }],
        height: '2.4 m',
        build: {
          kind: 'rubble',
          stone: 'limestone',
          thickness: '500 mm',
          copes: { height: '100 mm', each: '600 mm' },
        },
        openings: Array.from({ length: 10 }, (_, i) => ({
          id: `o${i}`,
          at: `${(2 + i * 5.8).toFixed(1)} m`,
          width: '1 m',
          sill: '0.9 m',
          head: '2 m',
        })),
      },
    ],
  });
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  return checked.job;
}
