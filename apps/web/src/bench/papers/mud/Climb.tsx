import type { MudDayView } from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import { scaleLinear } from 'd3-scale';
import { curveStepAfter, line } from 'd3-shape';
import type { ReactNode } from 'react';
import { useInks } from '../../../state/scheme';
import { useTell } from '../../../state/words';

/** Courses climbing through the day: each goes up a step when it is laid. */
export function Climb({
  day,
  x,
  top,
  high,
}: {
  day: MudDayView;
  x: (t: number) => number;
  top: number;
  high: number;
}): ReactNode {
  const tell = useTell();
  const inks = useInks();
  const [first] = day.courses;
  const last = day.courses.at(-1);
  if (!first || !last) return null;
  const y = scaleLinear()
    .domain([first.course - 1, last.course])
    .range([top + high - 6, top + 34]);
  const steps = [
    { at: first.from, course: first.course - 1 },
    ...day.courses.filter((c) => c.whole).map((c) => ({ at: c.to, course: c.course })),
    ...(last.whole ? [] : [{ at: last.to, course: last.course - 1 }]),
  ];
  const path = line<{ at: number; course: number }>()
    .x((s) => x(s.at))
    .y((s) => y(s.course))
    .curve(curveStepAfter);
  // A number stands at every course where there is room for it, else at every second, third…
  const every = Math.max(1, Math.ceil(16 / Math.max(1, Math.abs(y(1) - y(0)))));
  return (
    <g>
      <text x={x(day.axis.from)} y={top + 2} fontSize={15} fontWeight={700} fill={inks.ink}>
        {tell(AT_MUD.coursesLaid)}
      </text>
      {day.limited && (
        <>
          <line
            x1={x(day.axis.from)}
            x2={x(day.axis.to)}
            y1={y(last.course)}
            y2={y(last.course)}
            stroke={inks.caution}
            strokeWidth={1.5}
            strokeDasharray="2 4"
          />
          <text x={x(day.axis.from) + 6} y={y(last.course) - 19} fontSize={12} fill={inks.caution}>
            {tell(AT_MUD.dayLimit({ course: last.course, says: day.limit }))}
          </text>
        </>
      )}
      <path d={path(steps) ?? ''} fill="none" stroke={inks.chalk} strokeWidth={2.5} strokeDasharray="6 3" />
      {day.courses
        .filter((c) => c.whole && (c.course % every === 0 || c === last))
        .map((c) => (
          <text
            key={c.course}
            x={x(c.to) - 4}
            y={y(c.course) - 4}
            textAnchor="end"
            fontSize={12}
            fill={inks.ink}
            className="figures"
          >
            {c.course}
          </text>
        ))}
    </g>
  );
}
