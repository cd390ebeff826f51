import type { ScreenTexts } from '../../screens/index.js';

export const planText: ScreenTexts['plan-text'] = {
  course: 'hilada',
  bed: 'tendel',
  top: 'cota',
  pieces: 'piezas',
  wall: '{wall}: {unit}, {height} de alto; {runs}',
  run: '{run} {length}',
  mortar: 'mortero en las juntas {geometric}, a amasar {used}: {packs, number} × {pack}',
  batch:
    '{mix}: una amasada de {measures} rinde {makes} y coloca {lays, number}; {full, number} de ellas{last, select, no {} other {, la última menor}}',
  measure: '{count, number} {measure} de {of}',
  bars: 'barras {mark}, {size}',
  finding: '{severity, select, fault {FALTA} choice {OPCIÓN} other {NOTA}} {says}',
  fixes: 'Arreglos: {fixes}.',
};
