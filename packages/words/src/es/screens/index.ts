import type { ScreenTexts } from '../../screens/index.js';
import { door } from './door.js';
import { yard } from './yard.js';
import { server } from './server.js';
import { planText } from './plan-text.js';
import { ui } from './ui.js';
import { keeping } from './keeping.js';
import { bench } from './bench.js';
import { begin } from './begin.js';
import { paper } from './paper.js';
import { atSetOut } from './at-set-out.js';
import { atGauge } from './at-gauge.js';
import { atBond } from './at-bond.js';
import { atStone } from './at-stone.js';
import { atSteel } from './at-steel.js';
import { atMud } from './at-mud.js';
import { atTally } from './at-tally.js';

/** What the screens say. */
export const screens: ScreenTexts = {
  door,
  yard,
  ui,
  server,
  'plan-text': planText,
  keeping,
  bench,
  begin,
  paper,
  'at-set-out': atSetOut,
  'at-gauge': atGauge,
  'at-bond': atBond,
  'at-stone': atStone,
  'at-steel': atSteel,
  'at-mud': atMud,
  'at-tally': atTally,
};
