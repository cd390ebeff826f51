import type { Said } from '../../messages/message.js';
import { EDITS } from './messages.js';
import { partOf } from './part.js';
import { PROFILES } from '../../tables/profiles.js';
import { same } from '../../statement/same.js';
import { rewrite } from '../../statement/walk.js';
import type { Statement } from '../../statement/statement.js';
import type { JobDocument } from '../form.js';
import { wall as WALL } from '../forms/wall.js';
import { runPart, writeAddress } from '../../places/address.js';
import { placedIn, runIds, withAddresses } from '../places.js';
import { unitOfBuild } from '../units.js';
import { isTurn, type OwnUnit, type Wall } from '../types.js';
import { rehung, runsOf, type Rehung } from './runs.js';

const ownRun = (statement: Statement): string | null =>
  statement.kind !== 'object'
    ? null
    : (Object.entries(statement.keys).find(
        ([, { shape }]) => shape.kind === 'number' && shape.is?.run === 'own',
      )?.[0] ?? null);

/** Makes an id for a copy of something with this one. What is made where others edit too had better be like no other's. */
export type MakeId = (like: string, taken: (id: string) => boolean) => string;

/** An id like this one that is not taken: with a number behind it. */
export function freshId(like: string, taken: (id: string) => boolean): string {
  const stem = like.replace(/-\d+$/, '').slice(0, 180);
  for (let n = 2; ; n++) if (!taken(`${stem}-${n}`)) return `${stem}-${n}`;
}

/** Lists of things on a run, with a copy of each behind it that stands on the next. */
function twice(wall: Wall, run: number, makeId: MakeId): Wall {
  const ids = runIds(wall);
  return rewrite(wall, WALL, (part, statement) => {
    if (statement.kind !== 'list' || !Array.isArray(part)) return null;
    const key = ownRun(statement.of);
    if (key === null) return null;
    const list = part as Record<string, unknown>[];
    const taken = new Set(list.map((one) => one.id));
    const to = list.flatMap((one) => {
      const placed = typeof one.place === 'string' ? placedIn(wall, one.place) : null;
      if (
        typeof one.place === 'string' ? placed?.run !== run : ((one[key] as number | undefined) ?? 0) !== run
      )
        return [one];
      const copy: Record<string, unknown> = placed
        ? { ...one, place: writeAddress({ ...placed.address, run: runPart(ids[run + 1], run + 1) }) }
        : { ...one, [key]: run + 1 };
      if (typeof one.id === 'string') {
        copy.id = makeId(one.id, (id) => taken.has(id));
        taken.add(copy.id);
      }
      return [placed ? one : { ...one, [key]: run }, copy];
    });
    return { to };
  }) as Wall;
}

/** A run laid down once more behind itself, with a copy of everything that stands on it; later runs move up. */
export function copiedRun(job: JobDocument, index: number, item: number, makeId: MakeId = freshId): Rehung {
  const wall = job.walls[index];
  const run = wall?.line[item];
  if (!wall || !run || isTurn(run)) return { job, lost: [] };
  const at = runsOf(wall.line.slice(0, item));
  const ids = new Set(wall.line.map((one) => ('id' in one ? one.id : undefined)));
  const copy = { ...run };
  if (run.id !== undefined) copy.id = makeId(run.id, (id) => ids.has(id));
  const line = [...wall.line.slice(0, item + 1), copy, ...wall.line.slice(item + 1)];
  const moved = rehung(job, index, line, (n) => (n > at ? n + 1 : n));
  return {
    ...moved,
    job: { ...moved.job, walls: moved.job.walls.map((w, k) => (k === index ? twice(w, at, makeId) : w)) },
  };
}

/** What a wall takes from its job without saying it, said: so that it means the same in another. */
function saidInFull(from: JobDocument, wall: Wall, into: JobDocument): Wall {
  const [was, will] = [PROFILES[from.profile], PROFILES[into.profile]];
  const unit = unitOfBuild(from, wall.build);
  const build = { ...wall.build };
  if (was.joint !== will.joint) {
    const joint = `${Number((was.joint / 24_000).toFixed(6))} mm`;
    if (build.bed === undefined && unit?.bed === undefined) build.bed = joint;
    if (build.head === undefined && unit?.head === undefined) build.head = joint;
  }
  const lengths = wall.lengths ?? (was.lengths === will.lengths ? undefined : was.lengths);
  const rules = from.rules ? { ...from.rules, ...wall.rules } : wall.rules;
  return {
    ...wall,
    ...(lengths === undefined ? {} : { lengths }),
    ...(rules === undefined ? {} : { rules }),
    build,
  };
}

/** The units a wall is built of that are its job's own, as the other job will call them, and those it has to be given. */
function unitsFor(
  from: JobDocument,
  wall: Wall,
  into: JobDocument,
  makeId: MakeId,
): { called: Map<string, string>; given: OwnUnit[] } {
  const called = new Map<string, string>();
  const given: OwnUnit[] = [];
  rewrite(wall, WALL, (part, statement) => {
    if (statement.kind !== 'text' || statement.is === undefined || !('refers' in statement.is)) return null;
    const own = statement.is.refers === 'unit' ? from.units?.find((u) => u.id === part) : undefined;
    if (!own || called.has(own.id)) return null;
    const there = into.units?.find((u) => u.id === own.id);
    const id =
      there && !same(there, own)
        ? makeId(own.id, (one) => [...(into.units ?? []), ...given].some((u) => u.id === one))
        : own.id;
    called.set(own.id, id);
    if (!there || id !== own.id) given.push({ ...own, id });
    return null;
  });
  return { called, given };
}

/**
 * A wall copied into another job, or beside itself: its own units go along, what it took from its job's rules is said, and
 * what only its own site knows, or another wall it ends on, stays behind and is said.
 */
export function copiedWall(
  from: JobDocument,
  index: number,
  into: JobDocument,
  makeId: MakeId = freshId,
): Rehung & { id: string } {
  const wall = from.walls[index];
  if (!wall) return { job: into, lost: [], id: '' };
  const lost: Said[] = [];
  const here = from === into;
  const id = into.walls.some((w) => w.id === wall.id)
    ? makeId(wall.id, (one) => into.walls.some((w) => w.id === one))
    : wall.id;
  const { called, given } = here
    ? { called: new Map<string, string>(), given: [] }
    : unitsFor(from, wall, into, makeId);
  const brought = rewrite(here ? wall : saidInFull(from, wall, into), WALL, (part, statement, at) => {
    if (at?.key.sites && !here) {
      if (at.holder[at.name] === part) lost.push(partOf(at.name));
      return 'gone';
    }
    if (statement.kind === 'object') {
      const refers = Object.entries(statement.keys).find(
        ([, { shape }]) =>
          shape.kind === 'text' && shape.is && 'refers' in shape.is && shape.is.refers === 'wall',
      );
      if (refers && !here) {
        const other = from.walls.find((w) => w.id === (part as Record<string, unknown>)[refers[0]]);
        lost.push(EDITS['where-it-meets']({ wall: other?.name ?? EDITS['another-wall']() }));
        return 'gone';
      }
    }
    if (
      statement.kind === 'text' &&
      statement.is &&
      'refers' in statement.is &&
      statement.is.refers === 'unit'
    ) {
      const to = called.get(part as string) ?? part;
      return to === part ? null : { to };
    }
    return null;
  }) as Wall;
  if (from.weights && !here && !same(from.weights, into.weights)) lost.push(EDITS.costs());
  const name = into.walls.some((w) => w.name === wall.name) ? `${wall.name} (copy)`.slice(0, 200) : wall.name;
  // Addresses in it begin with its own id.
  const placed = withAddresses(
    brought,
    (a) => (a.wall === wall.id ? { ...a, wall: id } : null),
    writeAddress,
  );
  const units = [...(into.units ?? []), ...given];
  return {
    id,
    lost,
    job: {
      ...into,
      ...(units.length > 0 ? { units } : {}),
      walls: [...into.walls, { ...placed, id, name }],
    },
  };
}
