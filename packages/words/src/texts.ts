import type { Catalogue } from '@even-tally/core';
import type { ScreenTexts } from './screens/index.js';

/** Words for everything that is ever said: a language is one of these. */
export type Texts = Catalogue & ScreenTexts;
