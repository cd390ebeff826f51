import type { Mm } from '../measure/length.js';
import type { Said } from '../messages/message.js';
import type { PatchStep } from '../job/edits/patch.js';

export type Severity = 'fault' | 'choice' | 'note';
/** The stages a wall is gone through, in the order of the work. Not all are built. */
export const STAGE_NAMES = ['set-out', 'gauge', 'bond', 'steel', 'mud', 'days', 'checks', 'tally'] as const;
export type StageName = (typeof STAGE_NAMES)[number];

export interface Fix {
  says: Said;
  edit: PatchStep[];
}

/** Something the wall says. Codes are those of the registry. */
export interface Finding {
  code: FindingCode;
  stage: StageName;
  severity: Severity;
  /** Lowest course concerned, run and place along it (mm); null when it is the whole wall's. */
  course: number | null;
  run: number | null;
  at: Mm | null;
  /** Highest course concerned. */
  to: number | null;
  opening: string | null;
  says: Said;
  fixes: Fix[];
  source: Said;
}

/** A way to build it, weighed. `edit` is empty when it is what the wall already does. */
export interface Candidate {
  stage: 'gauge' | 'bond';
  kind: string;
  /** A few words for a button. */
  name: Said;
  /** The same with its reason and what it costs. */
  says: Said;
  edit: PatchStep[];
  cost: number;
  applied: boolean;
}

export interface Choice extends Candidate {
  rank: number;
}

/** The one registry of finding codes. `docs/format.md` is checked against it. */
export const FINDINGS = {
  'height-off-gauge': 'No number of whole courses reaches the height with beds inside the limits.',
  'fixed-height-missed': 'A height that a course must or should land on lies between two courses.',
  'opening-off-gauge': 'A sill or head does not fall on a course, so units are cut in height to it.',
  'unit-varies': 'Measured units differ more than the chosen joint can hide.',
  'keep-not-said': 'Nobody has said whether openings that stand off the bond may move.',
  'opening-off-bond': 'A jamb does not fall on a perp, so units are sawn to it.',
  'straight-joint': 'Perps stand over one another: two courses are a caution, three or more a fault.',
  'stack-bond': 'Perps stand over one another by design: the wall has no lap.',
  'header-bond-impossible': 'A unit is too short or too long to reach across two widths and a joint.',
  'lap-short': 'A perp laps the one below by less than the least lap.',
  sliver: 'A piece shorter than the least piece.',
  'head-joint-out': 'A head joint outside its limits.',
  'gap-left': 'A length is left that is too short for a piece and that no joint fills.',
  'opening-at-corner': 'An opening reaches into a corner, where the wall round it stands.',
  'lintel-not-designed':
    'Something must carry the wall over an opening, and no lintel with its designer’s or maker’s mark is listed.',
  'lintel-bearing-short':
    'A lintel bears too little on the wall at an end, or is not as long as its opening and its bearings.',
  'lintel-bears-on-nothing': 'Under a lintel’s bearing there is no wall, or only a sliver.',
  'lintel-heavy': 'A lintel that one person does not lift alone.',
  'footing-uneven': 'The footing as poured leaves the first bed too thin or too thick somewhere.',
  'old-gauge-drifts': 'The new courses drift off those of the old wall they meet.',
  'footing-thin': 'The footing is shallower than its projection, or than the least for a building.',
  'layers-do-not-add': 'The layers of a build-up do not add up to the total that was stated.',
  'reading-out': 'A level read on site is not where it should be.',
  'not-square': 'The four corners as taped are not the rectangle that was stated.',
  'engineer-needed': 'A structural question this program does not answer: a licensed engineer decides.',
  'exposure-not-said':
    'How exposed the place is decides how high a wall may stand free, and nobody has said.',
  'ground-not-said': 'Soil is said to stand against the wall, and not how high.',
  assumed: 'Something was taken for granted and nobody has confirmed it.',
  'wall-meets': 'A wall ends on another: butted and tied, with the ties counted.',
  'meets-nowhere': 'A wall is meant to end where the other wall is not.',
  'top-off-gauge': 'A top lies level between two courses, so a row is sawn flat to it.',
  'top-starts-on-half': 'A stepped or curved top springs from less than a stretcher.',
  'thin-ear': 'A piece sawn to a slope is too short on its bed to hold.',
  'footing-step': 'The footing steps: how far the upper concrete goes on over the lower.',
  'step-at-corner': 'Two footings meet at a corner at different levels.',
  'step-off-bond': 'A step in the footing does not fall on a perp, so units are sawn to it.',
  'piece-change-lost': 'A unit the mason changed is no longer there to be changed.',
  'vents-short': 'Air bricks or vents find no whole unit where they are wanted.',
  'pier-off-bond': 'A pier stands off the perps, so it does not bond into the wall.',
  'pier-tied': 'A pier that these units cannot bond in: tied, with the ties counted.',
  soldiers: 'Bricks on end over an opening: how many, and their joint.',
  'soldiers-off-gauge': 'Bricks on end do not end on a course, so the courses over them are sawn.',
  'opening-not-symmetric': 'The bond does not read the same on both sides of an opening, as was asked.',
  'tee-off-gauge': 'Two walls to be bonded together have courses at different heights.',
  'control-joint-due': 'A length of wall goes on for longer than its material may without a movement joint.',
  'joint-at-weak-place':
    'No movement joint stands beside an opening or a change of height, where a wall cracks first.',
  'joint-off-bond': 'A movement joint does not stand on a perp, so units are sawn beside it.',
  'joint-refused': 'A movement joint was refused, with its reason.',
  'place-lost': 'Something is filed for a place that is not there now.',
  'line-not-closed': 'The line comes back near its start without meeting it.',
  'curve-too-tight': 'Straight units round a curve leave a perp outside its limits.',
  'squint-specials': 'A corner that is not square takes specials.',
  'run-not-planned': 'A corner too sharp for units to make, or a run too short for any.',
  'bar-spacing-off-module': 'A bar spacing that the unit’s own cells do not allow.',
  'bar-not-in-cell':
    'A bar belongs where no continuous cell goes up: a web, the bond or an opening is in its way; so bars stand further apart, or further from an end, than asked.',
  'starter-off': 'A starter as placed does not come up clear in a cell.',
  'bar-left-out': 'A bar that belongs by rule was taken out by hand.',
  'cover-short': 'Too little masonry or grout between a bar and a face.',
  'bar-too-large': 'A bar too thick for its cell with grout round it.',
  'cell-change-lost': 'A cell the mason changed is no longer there.',
  'lap-rule-beyond': 'The lap rule asked for does not serve a bar so large.',
  'held-not-said': 'How the wall is held is not said, and it decides where bars stand in their cells.',
  'starters-wait': 'Starters wait for the footing’s depth.',
  'beam-nowhere': 'A beam is asked for in a course the wall does not have.',
  'ties-few': 'Ties are too few for the wall, or further apart than their rule allows.',
  'ties-not-level': 'The beds of two leaves do not come level where ties have to lie.',
  'leaf-cannot-carry':
    'Bars or grout are asked for in a leaf that is not there, or that has no cells while the other has.',
  'cavity-narrow': 'A cavity so narrow that droppings bridge it.',
  'inner-off-gauge': 'The inner leaf’s courses do not reach the height.',
  'grout-space-tight': 'A cell is too tight for the height of grout to be poured down it.',
  'frame-thin-ears': 'What is left of units notched round a post is so thin that it breaks off.',
  'frame-and-bears': 'A wall is said to bear the roof, and stands between posts that do.',
  'frame-leave-under-beam': 'A wall of earth between posts settles: room is left under the beam.',
  'stone-bound-as-usual':
    'What holds the two faces of a stone wall together was not said, and is taken as is usual.',
  'stone-bonders-apart': 'Bonders or throughs stand farther apart than faces are held by.',
  'stone-base-narrow': 'A dry stone wall is narrower at its base than half its height.',
  'stone-batter': 'The faces of a dry stone wall lean in less, or more, than such walls do.',
  'stone-no-throughs': 'Nothing goes through a dry stone wall that is high enough to want it.',
  'stone-ends-unlike': 'The ends of a run are of unlike height: its lines stand otherwise at each.',
  'stone-thin': 'A stone wall of two faces has no room for them and what lies between.',
  'stone-joint-wide': 'A joint is wider than stone of its kind is laid with.',
  'stone-no-lacing': 'Flint or cobble stands higher than it ties itself, with no level courses through it.',
  'stone-polygonal-levelled': 'Polygonal rubble is to be levelled at stated heights, and has no courses.',
  'stone-short': 'What comes down of an old dry wall will not build its faces again: stone is to be brought.',
  'stone-running-joints': 'Joints of an old dry wall run up through more courses than it is judged by.',
  'stone-kink': 'The old dry wall stands off the line at an end of a gap by more than the eye passes over.',
  'stone-fit-round-opening':
    'Measured stones are laid round an opening: its jambs, sill and head are to be met.',
  'mending-prop': 'A hole in an old wall is so wide or so deep that what stands over it is propped first.',
  'stone-heavy': 'Stones heavier than one person lifts.',
  'earth-bears-not-said':
    'Nobody has said whether a wall of earth bears the roof or only fills between posts.',
  'earth-too-thin': 'A wall of earth is thinner than one that bears may be.',
  'earth-too-high': 'A wall of earth is higher than so many times its thickness.',
  'earth-unheld': 'A wall of earth goes on too far with no corner, buttress or cross wall to hold it.',
  'earth-opening-near-corner': 'An opening in a wall of earth stands too near an outside corner.',
  'earth-no-plate': 'A wall of earth that bears a roof has no plate or bond beam, or a low one.',
  'earth-base-low': 'Earth begins too near the ground: rain splashes it away.',
  'earth-rain-unsaid':
    'Nobody has said what keeps water off a wall of earth, from under, beside and over it.',
  'earth-no-dpc': 'No damp-proof course lies between a wall of earth and what it stands on.',
  'earth-bare': 'Rain falls on a face of earth: neither eaves that reach far enough nor a coat.',
  'earth-much-open': 'More of a length of earth wall is open than may be.',
  'mix-refused': 'A mix that does not go with its unit, or in its place.',
  'mix-cautioned': 'A mix that serves there only where somebody is sure of it.',
  'mix-noted': 'Something to know of a mix where it stands.',
  'inner-mix-refused': 'The inner leaf’s mix does not go with its unit, or in its place.',
  'inner-mix-cautioned': 'The inner leaf’s mix serves there only where somebody is sure of it.',
  'inner-mix-noted': 'Something to know of the inner leaf’s mix where it stands.',
  'grout-nowhere': 'Grout is asked for in units without cells.',
} as const;

export type FindingCode = keyof typeof FINDINGS;
