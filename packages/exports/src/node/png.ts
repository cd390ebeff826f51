import { pagesSvg, type Page } from '@even-tally/core';
import { Resvg } from '@resvg/resvg-js';
import { BOLD, PLAIN } from './fonts.js';

/** Dots to a millimetre of paper: 150 an inch, as a screen or a message shows a page well. */
const DOTS = 150 / 25.4;
/** Past this a picture is no use and a danger to memory: dots down. */
const TALLEST = 20_000;

/** Pages under one another as one picture. */
export function pagesPng(pages: readonly Page[], title: string): Uint8Array {
  const high = pages.reduce((sum, p) => sum + p.h, 0);
  const zoom = Math.min(DOTS, TALLEST / Math.max(1, high));
  const wide = Math.max(1, ...pages.map((p) => p.w));
  return new Resvg(pagesSvg(pages, title), {
    fitTo: { mode: 'width', value: Math.round(wide * zoom) },
    font: { fontFiles: [PLAIN, BOLD], loadSystemFonts: false, defaultFontFamily: 'DejaVu Sans Condensed' },
  })
    .render()
    .asPng();
}
