import { sentences, type Screen } from './screen.js';

/** The paper and what lies round it: its drawings, the key plan, the drawer, near and far. */
export const PAPER_SAYS = {
  nearAndFar: 'Near and far',
  nearer: 'Nearer',
  farther: 'Farther',
  fit: 'All of it (F)',
  actual: '1:1, as large as it is (A)',
  keyPlan: 'Key plan',
  unfold: 'unfold',
  fold: 'Fold it again',
  goToRun: ['Go to {run}', { run: 'name' }],
  goToWall: ['Go to {wall}', { wall: 'name' }],
  unfoldedTitle: [
    '{wall} unfolded, {runs, plural, one {# run} other {# runs}} from outside',
    { wall: 'name', runs: 'count' },
  ],
  courseFromAbove: ['Course {course} from above', { course: 'count' }],
  courseStands: ['top {top}, bed {bed}; begun on {run}', { top: 'length', bed: 'length', run: 'name' }],
  courseSays: [
    'Course {course} from above: {picks}; {bars, plural, =0 {no bars} one {# bar} other {# bars}} through it. The same as a list is under the button Read as a list.',
    { course: 'count', picks: 'said', bars: 'count' },
  ],
  coursePasses: [
    '{bars, plural, =0 {No bars pass} one {# bar passes} other {# bars pass}} here; {bed, select, some {steel in this bed} other {nothing in this bed}}; {ties, plural, =0 {no ties} one {# tie} other {# ties}}.',
    { bars: 'count', ties: 'count', bed: ['some', 'none'] },
  ],
  outlined: [
    'Outlined: {fresh, plural, one {# unit} other {# units}} not as in course {against}, the last on these [perps].',
    { fresh: 'count', against: 'count' },
  ],
  asBelow: ['Laid as course {against}.', { against: 'count' }],
  isNew: 'new here',
  steps: 'Step up and down',
  fromAbove: 'From above',
  backToTheWall: 'Back to the wall',
  more: 'More',
  drawer: 'Drawer',
  lists: 'Lists',
  pullUp: 'Pull the drawer up',
  pushDown: 'Push the drawer down',
  drawerEdge: 'How high the drawer stands',
  slipEdge: 'How wide the slip is',
  filter: 'filter',
  copy: 'copy',
  copied: 'copied',
  counting: 'Counting…',
  inAll: 'in all',
  courseKey: 'the live course from above, and back',
  unfoldKey: 'every run side by side, and back',
  drawerKey: 'the drawer, up and down',
  nearerKey: 'nearer, farther',
  panKey: 'move the paper',
} as const satisfies Screen;

export const PAPER = sentences('paper', PAPER_SAYS);
