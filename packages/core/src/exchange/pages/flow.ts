import type { Mm } from '../../measure/length.js';
import { wordsApart } from '../../scene/apart.js';
import { PAPER_PIXEL, THEME } from '../../scene/theme.js';
import { line, words, type Role, type SceneShape } from '../../shapes/shape.js';
import { onPage, type Page, type Paper, type Placed } from './page.js';
import { wrapped } from './textWidth.js';

/** Height of a line over the size of its words. */
const LEADING = 1.28;

/** Size of a role's words on paper, mm. */
export const sizeOf = (role: Role): Mm => (THEME[role]?.size ?? 16) * PAPER_PIXEL;
export const leadingOf = (role: Role): Mm => sizeOf(role) * LEADING;

/** Fills pages from the top down; the caution stands at the foot of every one. */
export class Flow {
  readonly pages: Page[] = [];
  /** How far down the page it has come, mm. */
  y = 0;
  private own: SceneShape<string>[] = [];
  private readonly cautionLines: string[];

  constructor(
    readonly paper: Paper,
    caution: string,
  ) {
    this.cautionLines = wrapped(caution, this.wide, sizeOf('caution'));
    this.newPage();
  }

  get wide(): Mm {
    return this.paper.w - 2 * this.paper.margin;
  }

  get left(): Mm {
    return this.paper.margin;
  }

  /** Where a page ends: over its caution. */
  get foot(): Mm {
    return this.paper.h - this.paper.margin - this.cautionLines.length * leadingOf('caution') - 3;
  }

  get room(): Mm {
    return this.foot - this.y;
  }

  newPage(): void {
    this.own = [];
    this.pages.push({ w: this.paper.w, h: this.paper.h, parts: [onPage(this.own)] });
    this.cautionLines.forEach((text, i) =>
      this.text('caution', text, this.left, this.foot + 3 + (i + 0.8) * leadingOf('caution')),
    );
    this.y = this.paper.margin;
  }

  /** Words with their foot `down` from the top of the page. */
  text(role: Role, text: string, x: Mm, down: Mm, anchor: 'start' | 'middle' | 'end' = 'start'): void {
    this.own.push(words(role, x, -down, text, anchor));
  }

  rule(role: Role, x1: Mm, down1: Mm, x2: Mm, down2: Mm): void {
    this.own.push(line(role, x1, -down1, x2, -down2));
  }

  put(...shapes: SceneShape<string>[]): void {
    this.own.push(...shapes);
  }

  /** A drawing set down: its words keep off one another at the scale it has here. */
  place(part: Placed): void {
    const { scene, scale } = part;
    const shapes = wordsApart<string>(scene.shapes, PAPER_PIXEL / scale, (said) =>
      typeof said === 'string' ? said : said.code,
    );
    this.pages.at(-1)?.parts.push({ ...part, scene: { ...scene, shapes } });
  }

  /** A paragraph, over pages where it must be. */
  say(role: Role, text: string, after = 0): void {
    const bold = THEME[role]?.bold ?? false;
    for (const part of wrapped(text, this.wide, sizeOf(role), bold)) {
      if (this.room < leadingOf(role)) this.newPage();
      this.y += leadingOf(role);
      this.text(role, part, this.left, this.y - leadingOf(role) * 0.22);
    }
    this.y += after;
  }
}
