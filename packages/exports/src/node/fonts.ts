import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);

/** The fonts pages are laid out for, as files. */
export const PLAIN = require.resolve('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf');
export const BOLD = require.resolve('dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf');
