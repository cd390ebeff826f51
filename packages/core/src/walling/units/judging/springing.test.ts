import { expect, test } from '@jest/globals';
import type { PieceChange } from '../../../job/types.js';
import { planOf, straight, type OneWall } from '../../../test/jobs.js';
import type { Piece, Row } from '../laying/row.js';
import { lapFaults } from './laps.js';

const piece = (from: number, to: number, rake?: Piece['rake']): Piece => ({
  kind: 'stretcher',
  from,
  to,
  cutFrom: null,
  opening: -1,
  band: null,
  ...(rake ? { rake } : {}),
});
const row = (perps: number[], pieces: Piece[] = []): Row => ({
  pieces,
  perps: perps.map((at) => ({ at, width: 10 })),
  bedded: [],
});
const RULES = { joint: 10, least: 50 };

test('a raked piece over a joint hides a course of it and does not break it: seven courses are a fault', () => {
  const sawn = row([400], [piece(510, 700, { left: 30, right: 65 })]);
  const joint = row([505]);
  const chain = lapFaults([joint, joint, joint, sawn, joint, joint, joint], RULES).straight;
  expect(chain).toEqual([{ at: 505, from: 1, to: 7, lap: 0 }]);
  // One on either side of it is three in line.
  expect(lapFaults([joint, sawn, joint], RULES).straight).toEqual([{ at: 505, from: 1, to: 3, lap: 0 }]);
  // An ordinary course between breaks it.
  expect(lapFaults([joint, row([400], [piece(410, 700)]), joint], RULES).straight).toEqual([]);
  // So does a raked piece that lies across it: it bonds what is under it.
  const across = row([400], [piece(410, 600, { left: 30, right: 65 })]);
  expect(lapFaults([joint, across, joint], RULES).straight).toEqual([]);
  // And nothing over the raked piece is nothing to go on to.
  expect(lapFaults([joint, sawn], RULES).straight).toEqual([]);
});

test('a unit put there by hand that stands three perps in line is said at once, with the way back', () => {
  const wall = (pieces: PieceChange[]): OneWall => ({
    profile: 'uk',
    show: 'mm',
    unit: 'brick-215x102.5x65',
    line: straight(4490),
    height: 1350,
    build: { bond: 'half', pieces },
    wall: { jointEvery: 90_000 },
  });
  const said = (w: OneWall) => planOf(w, true).findings.filter((f) => f.code === 'straight-joint');
  expect(said(wall([]))).toEqual([]);
  // A stretcher of course 6 split in two: its new perp stands over those of courses 5 and 7.
  const [f] = said(wall([{ id: 'c', run: 0, course: 6, at: 2140, length: 215, do: 'split' }]));
  expect(f?.severity).toBe('fault');
  expect(f?.says).toContain('changed by hand');
  expect(f?.fixes[0]?.edit).toEqual([{ op: 'remove', path: '/walls/0/build/pieces/0' }]);
});

test('at the foot of a ramp every second course is sawn away there, and the joint behind it is found whole', () => {
  const p = planOf({
    profile: 'uk',
    show: 'mm',
    unit: 'brick-215x102.5x65',
    line: straight(13 * 337.5 + 215),
    height: 1350,
    build: { bond: 'flemish', wythes: 2 },
    wall: {
      jointEvery: 90_000,
      tops: [{ id: 't', run: 0, kind: 'ramp', from: 1112.5, to: 2012.5, left: 1350, right: 600 }],
    },
  });
  // It springs at 600 in course 8: from the ninth up to the eighteenth nothing crosses that edge.
  const found = p.findings.filter((f) => f.code === 'straight-joint' && Math.abs((f.at ?? 0) - 2020) < 10);
  expect(found.map((f) => [f.severity, f.course])).toContainEqual(['fault', 9]);
});
