import { inches, toMillimetres, type Length, type Mm } from '../../measure/length.js';
import { findUnit } from '../../job/units.js';
import type { SetWall } from './wall.js';
import type { JobDocument, OwnRules, Stated, Wall } from '../../job/types.js';
import { stated } from '../../job/stated.js';
import type { Said } from '../../messages/message.js';
import { TABLE } from '../../tables/messages.js';
import { PROFILES, type Limits, type Profile } from '../../tables/profiles.js';

/** A profile with the figures that somebody stated in the place of its own; where each comes from is what they said. */
function ruled(profile: Profile, own: OwnRules, source: Said): Profile {
  const length = (said: Stated | undefined): Length | undefined =>
    said === undefined ? undefined : stated(said);
  const limits = (of: Limits, said: OwnRules['bed']): Limits =>
    said ? { least: length(said.least) ?? of.least, most: length(said.most) ?? of.most, source } : of;
  const [leastPiece, leastLap] = [length(own.leastPiece), length(own.leastLap)];
  const { breakage, mortar, grout } = own;
  return {
    ...profile,
    bed: limits(profile.bed, own.bed),
    firstBed: limits(profile.firstBed, own.firstBed),
    head: limits(profile.head, own.head),
    ...(leastPiece === undefined ? {} : { leastPiece: () => leastPiece, leastPieceSource: source }),
    ...(leastLap === undefined ? {} : { leastLap: () => leastLap, leastLapSource: source }),
    ...(breakage === undefined ? {} : { breakage: () => breakage, breakageSource: source }),
    ...(mortar === undefined ? {} : { mortar: () => ({ factor: mortar }), mortarSource: () => source }),
    ...(grout === undefined ? {} : { grout: { factor: grout, source } }),
  };
}

/** Between posts that bear, what earth codes say of joints is not asked: they open as uneven units want them. Common practice. */
const FRAMED: Pick<Limits, 'least' | 'most'> = { least: inches(1, 2), most: inches(3, 2) };

/** Earth that only fills a frame may have joints a wall that bears may not. */
function framed(profile: Profile, job: JobDocument, { build, bears }: Wall): Profile {
  const earth = build.kind === 'units' && findUnit(job, build.unit)?.family === 'adobe';
  if (!earth || bears !== 'none' || profile.id !== 'earth') return profile;
  const limits = { ...FRAMED, source: TABLE['common-practice']() };
  return { ...profile, bed: limits, head: limits };
}

/** The rules a wall goes by: its profile's, its job's over them, its own over those. */
export function rulesFor(job: JobDocument, wall: Wall): Profile {
  const profile = framed(PROFILES[job.profile], job, wall);
  const ofJob = job.rules ? ruled(profile, job.rules, TABLE['job-says']({ why: job.rules.why })) : profile;
  return wall.rules ? ruled(ofJob, wall.rules, TABLE['wall-says']({ why: wall.rules.why })) : ofJob;
}

/** The figures that may be stated otherwise, as they are in force for a wall. Lengths mm; `mortar` null where a site rate rules. */
export interface RulesInForce {
  bed: [Mm, Mm];
  firstBed: [Mm, Mm];
  head: [Mm, Mm];
  leastPiece: Mm;
  leastLap: Mm;
  breakage: number;
  mortar: number | null;
  grout: number;
}

export function rulesInForce({ profile, unit }: Pick<SetWall, 'profile' | 'unit'>): RulesInForce {
  const both = (of: Limits): [Mm, Mm] => [toMillimetres(of.least), toMillimetres(of.most)];
  const mortar = profile.mortar(unit);
  return {
    bed: both(profile.bed),
    firstBed: both(profile.firstBed),
    head: both(profile.head),
    leastPiece: toMillimetres(profile.leastPiece(unit)),
    leastLap: toMillimetres(profile.leastLap(unit)),
    breakage: profile.breakage(unit),
    mortar: 'factor' in mortar ? mortar.factor : null,
    grout: profile.grout.factor,
  };
}
