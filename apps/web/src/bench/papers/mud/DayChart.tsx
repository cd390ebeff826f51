import { showTemperature, type MudDayView, type Pin, type Show } from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import { scaleLinear } from 'd3-scale';
import { curveMonotoneX, line } from 'd3-shape';
import type { ReactNode } from 'react';
import { useInks } from '../../../state/scheme';
import { useTell } from '../../../state/words';
import { useSize } from '../useSize';
import { Climb } from './Climb';
import { clockWords } from './clock';
import { pinsTo, type OnPins } from './pins';
import { Wedge } from './Wedge';

/** Left and right of the hours, and how high each part is, px. */
const SIDE = 34;
const HEAT = 56;
const ROW = 50;
const CLIMB = 150;
const FOOT = 26;
/** Hours stand no nearer than this, px. */
const APART = 46;

/** A day as mud: how warm it is, each batch from its water to its end, and the courses that use it up. */
export function DayChart({
  day,
  show,
  now,
  pins,
  onPins,
}: {
  day: MudDayView;
  show: Show;
  now: number | null;
  pins: readonly Pin[];
  onPins: OnPins;
}): ReactNode {
  const tell = useTell();
  const inks = useInks();
  const [, frame, { width }] = useSize();
  const heat = day.weather ? HEAT : 0;
  const wedges = heat + 14;
  const climb = wedges + day.rows * ROW + 30;
  const foot = climb + CLIMB;
  const x = scaleLinear()
    .domain([day.axis.from, day.axis.to])
    .range([SIDE, Math.max(SIDE + 1, width - SIDE)]);
  const hours = Array.from(
    { length: (day.axis.to - day.axis.from) / 60 + 1 },
    (_, i) => day.axis.from + i * 60,
  );
  const every = Math.max(1, Math.ceil(APART / Math.max(1, x(day.axis.from + 60) - x(day.axis.from))));
  const seen = now !== null && now >= day.axis.from && now <= day.axis.to;
  return (
    <div ref={frame} className="w-full min-w-0">
      {width > 0 && (
        <svg
          width={width}
          height={foot + FOOT}
          role="img"
          aria-label={tell(AT_MUD.dayPicture({ batches: day.batches.length, courses: day.courses.length }))}
          data-day={day.date}
        >
          {hours.map((h, i) => (
            <g key={h}>
              <line
                x1={x(h)}
                x2={x(h)}
                y1={0}
                y2={foot}
                stroke={inks['mortar-line']}
                strokeWidth={1}
                opacity={0.3}
              />
              {i % every === 0 && (
                <text
                  x={x(h)}
                  y={foot + 18}
                  textAnchor="middle"
                  fontSize={13}
                  fill={inks.soft}
                  className="figures"
                >
                  {clockWords(h)}
                </text>
              )}
            </g>
          ))}
          {day.breaks.map((b) => (
            <g key={b.from}>
              <rect
                x={x(b.from)}
                y={wedges - 8}
                width={Math.max(2, x(b.to) - x(b.from))}
                height={foot - wedges + 8}
                fill={inks.tape}
                opacity={0.28}
              />
              {x(b.to) - x(b.from) > 15 && (
                <text
                  transform={`translate(${(x(b.from) + x(b.to)) / 2 + 4} ${foot - 10}) rotate(-90)`}
                  fontSize={12}
                  fill={inks.soft}
                >
                  {tell(AT_MUD.pause)}
                </text>
              )}
            </g>
          ))}
          {day.weather && <Heat day={day} x={x} show={show} />}
          {day.batches.map((b, i) => (
            <Wedge
              // By its number: under the hand that moves it, its hour is not what it was.
              key={i}
              batch={b}
              number={i + 1}
              x={x}
              top={wedges + b.row * ROW}
              high={ROW - 19}
              until={day.axis.to}
              onGone={(gone) => onPins(pinsTo(day, pins, i, { gone }))}
              onWater={(water) => onPins(pinsTo(day, pins, i, { made: b.made, water }))}
            />
          ))}
          <Climb day={day} x={x} top={climb} high={CLIMB} />
          {seen && (
            <g data-now>
              <line x1={x(now)} x2={x(now)} y1={0} y2={foot} stroke={inks.live} strokeWidth={2.5} />
              <text x={x(now) + 5} y={12} fontSize={13} fontWeight={700} fill={inks.ink} className="figures">
                {clockWords(now)}
              </text>
            </g>
          )}
        </svg>
      )}
    </div>
  );
}

/** The temperature through the day, its lowest and highest written on it. */
function Heat({ day, x, show }: { day: MudDayView; x: (t: number) => number; show: Show }): ReactNode {
  const inks = useInks();
  const { weather } = day;
  if (!weather) return null;
  const span = Math.max(1, weather.high - weather.low);
  const y = (celsius: number): number => 44 - ((celsius - weather.low) / span) * 22;
  const path = line<{ at: number; celsius: number }>()
    .x((p) => x(p.at))
    .y((p) => y(p.celsius))
    .curve(curveMonotoneX);
  const first = weather.curve[0];
  const top = weather.curve.reduce(
    (a, b) => (b.celsius > a.celsius ? b : a),
    weather.curve[0] ?? { at: 0, celsius: 0 },
  );
  return (
    <g>
      <path d={path(weather.curve) ?? ''} fill="none" stroke={inks.caution} strokeWidth={2} />
      {first && (
        <text
          x={x(first.at) + 2}
          y={y(first.celsius) - 6}
          fontSize={13}
          fill={inks.caution}
          className="figures"
        >
          {showTemperature(first.celsius, show)}
        </text>
      )}
      <text
        x={x(top.at)}
        y={y(top.celsius) - 7}
        textAnchor="middle"
        fontSize={13}
        fill={inks.caution}
        className="figures"
      >
        {showTemperature(top.celsius, show)}
      </text>
    </g>
  );
}
