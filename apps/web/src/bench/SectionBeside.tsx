import type { Section } from '@even-tally/core';
import { PAPER } from '@even-tally/words';
import { useMemo, type ReactNode } from 'react';
import { look } from '../state/view';
import { useTell } from '../state/words';
import { Shapes } from './Shapes';
import type { Layout } from './layout';

const WIDE = 112;

/** The run cut through, beside its face on the same scale: pressed, it lies on the paper large. */
export function SectionBeside({
  section,
  layout,
  run,
}: {
  section: Section;
  layout: Layout;
  run: string;
}): ReactNode {
  const tell = useTell();
  const { scale, base } = layout;
  const { shapes, middle } = useMemo(() => {
    // Units are rectangles; what stone faces hold between them is drawn by its corners.
    const ends = section.scene.shapes
      .filter((s) => s.role === 'unit-cut' || s.role === 'core-cut')
      .flatMap((s) =>
        s.type === 'rect' ? [s.x, s.x + s.w] : s.type === 'shape' ? s.points.map(([x]) => x) : [],
      );
    return {
      // So small only what it is made of is drawn; its words are on the large one.
      shapes: section.scene.shapes.filter((s) => s.type !== 'text' && s.role !== 'dimension'),
      middle: (Math.min(0, ...ends) + Math.max(0, ...ends)) / 2,
    };
  }, [section]);
  return (
    <button
      className="relative block shrink-0 overflow-hidden border-l border-rule text-left hover:bg-chalk-pale max-[1180px]:hidden"
      style={{ width: WIDE }}
      aria-label={`${tell(PAPER.section)}: ${tell(PAPER.sectionOf({ run, at: section.at }))}`}
      data-section-at={Math.round(section.at)}
      onClick={() => look({ paper: 'section' })}
    >
      <span className="absolute top-2 left-3 font-narrow text-lead font-bold text-chalk">
        {tell(PAPER.section)}
      </span>
      <svg width={WIDE} height={layout.height} aria-hidden="true">
        <Shapes shapes={shapes} layout={{ left: WIDE / 2 - middle * scale, base, scale }} />
      </svg>
    </button>
  );
}
