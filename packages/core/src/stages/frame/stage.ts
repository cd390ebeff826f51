import { issue, type Issue, type Try } from '../../findings/issue.js';
import type { JobDocument } from '../../job/types.js';
import { millimetres, type Mm } from '../../measure/length.js';
import { writeLength } from '../../measure/format.js';
import { line, rect, type SceneShape } from '../../shapes/shape.js';
import { FRAME } from '../../tables/earthWalls.js';
import type { BondWork } from '../bond/stage.js';
import { count, figuresNamed, length, type Workings } from '../figure.js';
import type { GaugeWork } from '../gauge/stage.js';
import type { WorkList } from '../list.js';
import type { SetOutWork } from '../set-out/stage.js';
import type { SetPost } from '../set-out/wall.js';
import { stage } from '../stage.js';
import { FRAME_SAYS as SAYS } from './messages.js';
import { fillRound, notchesOf, postIn, tiedIn, type Notch } from './notches.js';

/** A wall that fills between posts: the units that meet one. */
export interface FrameWork {
  notches: Notch[];
}

type Needs = SetOutWork & GaugeWork & BondWork;
type Work = Needs & FrameWork;

const WORKINGS: Workings<Work> = {
  'frame.notched': (w) => ({
    title: SAYS.notched(),
    formula: SAYS['notched-formula'](),
    inputs: [
      count(SAYS.posts(), w.wall.posts.length, SAYS['as-laid']()),
      count(SAYS.courses(), w.gauge.courses.length, SAYS['as-laid']()),
    ],
    result: w.notches.length,
    quantity: 'count',
    source: SAYS['as-laid'](),
  }),
  'frame.relief': (w) => ({
    title: SAYS.relief(),
    formula: SAYS['relief-formula'](),
    inputs: [length(SAYS['relief-apart'](), FRAME.relief, SAYS.practice())],
    result: w.notches.reduce((sum, n) => sum + n.relief, 0),
    quantity: 'count',
    source: SAYS.practice(),
  }),
  'frame.fill': (w) => ({
    title: SAYS.fill(),
    formula: SAYS['fill-formula'](),
    inputs: [
      count(SAYS.notched(), w.notches.length, SAYS['as-laid']()),
      length(SAYS.room(), FRAME.room, SAYS.practice()),
    ],
    result: fillRound(w, w.notches),
    quantity: 'volume',
    source: SAYS['as-laid'](),
  }),
  'frame.ties': (w) => ({
    title: SAYS.ties(),
    formula: SAYS['ties-formula'](),
    inputs: [
      count(SAYS.posts(), w.wall.posts.length, SAYS['as-laid']()),
      count(SAYS['tie-every'](), FRAME.tieEvery, SAYS.practice()),
    ],
    result: w.wall.posts.length * tiedIn(w.gauge.count).length,
    quantity: 'count',
    source: SAYS.practice(),
  }),
};

const leftOf = ({ left, right, outer, inner }: Notch): Mm =>
  Math.min(...[left, right, outer, inner].filter((n) => n > 0));

function notchList({ notches, wall, gauge }: Work): WorkList {
  return {
    kind: 'notches',
    name: SAYS.notches(),
    columns: [
      { key: 'post', name: SAYS.post(), is: 'text' },
      { key: 'course', name: SAYS.course(), is: 'count' },
      { key: 'unit', name: SAYS.unit(), is: 'length' },
      { key: 'cut', name: SAYS['cut-out'](), is: 'text' },
      { key: 'left', name: SAYS['is-left'](), is: 'text' },
      { key: 'relief', name: SAYS['relief-cuts'](), is: 'count', sums: true },
    ],
    rows: notches.map((n) => {
      const c = gauge.courses[n.course - 1];
      return {
        id: `${n.post}/${n.course}/${n.from}`,
        course: n.course,
        cells: [
          wall.posts.find((p) => p.id === n.post)?.name ?? n.post,
          n.course,
          n.to - n.from,
          SAYS['cut-is']({ wide: n.cut.to - n.cut.from, deep: n.cut.deep }),
          n.gone ? SAYS['nothing-left']() : SAYS['left-is']({ least: leftOf(n) }),
          n.relief,
        ],
        spots: [
          { run: n.run, x: n.from, y: c?.bottom ?? 0, w: n.to - n.from, h: (c?.top ?? 0) - (c?.bottom ?? 0) },
        ],
      };
    }),
    empty: SAYS['notches-none'](),
  };
}

/** How finely places for a post are looked for, mm. */
const STEP = 5;

/** Where a post may stand so that nothing thin is left round it: as it is or flush with a face, and no farther along than it must. */
function moved(job: JobDocument, work: Work, post: SetPost): Try[] {
  const { wall } = work;
  const path = `/walls/${wall.index}/posts/${post.index}`;
  const to = (mm: Mm): string | number => writeLength(millimetres(Math.round(mm * 1000) / 1000), job.show);
  const sound = (at: Mm, inwards: Mm | null): boolean => {
    const placed = { ...post, at, in: inwards };
    return !notchesOf({ ...work, wall: { ...wall, posts: [placed] } }).some((n) => n.ear);
  };
  const length = wall.runs[post.run]?.length ?? 0;
  const nearest = (inwards: Mm | null): Mm | null => {
    for (let off = 0; off <= wall.unitLength; off += STEP)
      for (const at of [post.at - off, post.at + off]) {
        const inside = at - post.width / 2 >= 0 && at + post.width / 2 <= length;
        if (inside && sound(at, inwards)) return at;
      }
    return null;
  };
  const sides = [
    ['as-it-is', post.in],
    ['inside', wall.thickness - post.depth],
    ['outside', 0],
  ] as const;
  return sides.flatMap(([side, inwards]): Try[] => {
    const at = nearest(inwards);
    if (at === null) return [];
    const by = Math.abs(at - post.at);
    return [
      {
        says: SAYS['stand-so']({ post: post.name, side, moved: by < 1 ? 'no' : 'yes', by }),
        edit: [
          ...(by < 1 ? [] : [{ op: 'replace' as const, path: `${path}/at`, value: to(at) }]),
          ...(side === 'as-it-is' || inwards === null
            ? []
            : [{ op: 'add' as const, path: `${path}/from`, value: to(inwards) }]),
        ],
      },
    ].filter((t) => t.edit.length > 0);
  });
}

function frameIssues(job: JobDocument, work: Work): Issue[] {
  const { wall, notches } = work;
  if (wall.posts.length === 0) return [];
  const bears = job.walls[wall.index]?.bears;
  const at = { stage: 'bond', source: SAYS.practice() } as const;
  return [
    ...wall.posts.flatMap((post): Issue[] => {
      const ears = notches.filter((n) => n.post === post.id && n.ear);
      const [first] = ears;
      if (!first) return [];
      return [
        issue({
          ...at,
          code: 'frame-thin-ears',
          severity: 'choice',
          course: first.course,
          run: post.run,
          at: post.at,
          key: `frame-thin-ears|${post.id}`,
          says: SAYS['thin-ears']({
            post: post.name,
            count: ears.length,
            least: Math.min(...ears.map(leftOf)),
            most: FRAME.ear,
          }),
          tries: () => moved(job, work, post),
        }),
      ];
    }),
    ...(bears === 'roof'
      ? [
          issue({
            ...at,
            code: 'frame-and-bears',
            severity: 'choice',
            key: 'frame-and-bears',
            says: SAYS['fills-not-bears'](),
            tries: () => [
              {
                says: SAYS['bears-none'](),
                edit: [{ op: 'replace', path: `/walls/${wall.index}/bears`, value: 'none' }],
              },
            ],
          }),
        ]
      : []),
    issue({
      ...at,
      code: 'frame-leave-under-beam',
      severity: 'note',
      key: 'frame-leave-under-beam',
      says: SAYS['leave-under-beam']({ leave: FRAME.settles * wall.height }),
    }),
  ];
}

/** Posts as they stand in the face, and the ties in its beds. */
function shapes({ wall, gauge }: Work, run: number): SceneShape[] {
  return wall.posts
    .filter((p) => p.run === run)
    .flatMap((p) => [
      rect('post', p.at - p.width / 2, 0, p.width, wall.height, p.id),
      ...tiedIn(gauge.count).map((n) => {
        const y = gauge.courses[n - 1]?.top ?? 0;
        return line('edge-tie', p.at - FRAME.tieIn, y, p.at + FRAME.tieIn, y);
      }),
    ]);
}

/** A post from above in a course, what is cut for it, and the saw cuts that let it out. */
const above = ({ wall, notches }: Work, run: number, course: number): SceneShape[] => [
  ...notches
    .filter((n) => n.run === run && n.course === course && !n.gone)
    .flatMap((n) => [
      rect('not-as-below', n.cut.from, n.cut.in, n.cut.to - n.cut.from, n.cut.deep),
      ...Array.from({ length: n.relief }, (_, i) => {
        const x = n.cut.from + ((n.cut.to - n.cut.from) * i) / Math.max(1, n.relief - 1);
        return line('saw-plan', x, n.cut.in, x, n.cut.in + n.cut.deep);
      }),
    ]),
  ...wall.posts
    .filter((p) => p.run === run)
    .map((p) => rect('post', p.at - p.width / 2, postIn(wall, p), p.width, p.depth, p.id)),
];

/** Units notched round the posts of a frame: what is cut, what is too thin to last, and what ties the wall to it. */
export const frame = stage<'frame', Needs, FrameWork>({
  id: 'frame',
  shown: 'bond',
  needs: ['set-out', 'gauge', 'bond'],
  work: (made) => ({ notches: made.wall.posts.length > 0 ? notchesOf(made) : [] }),
  issues: frameIssues,
  figures: (work, run) => (run === null ? figuresNamed(WORKINGS, Object.keys(WORKINGS), work) : []),
  working: (work, figure) => WORKINGS[figure]?.(work) ?? null,
  lists: (work) => (work.wall.posts.length > 0 ? [notchList(work)] : []),
  shapes,
  above,
});
