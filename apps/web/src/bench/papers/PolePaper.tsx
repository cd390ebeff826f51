import { largePoleShapes } from '@even-tally/core';
import { AT_STONE, PAPER } from '@even-tally/words';
import { useMemo, type PointerEvent, type ReactNode } from 'react';
import { useJob } from '../../state/job';
import { look, useViewing } from '../../state/view';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { useNarrow } from '../../ui/useNarrow';
import { Told } from '../../ui/Told';
import { AsList } from '../AsList';
import { FlagMark, spacedFlags } from '../FlagMark';
import { Letters } from '../Letters';
import { Near } from '../Near';
import { usePole } from '../Pole';
import { Shapes } from '../Shapes';
import type { Flag } from '../poleEdits';
import { isLaidInCourses } from '../layout';
import { PaperHead } from './PaperHead';
import type { PaperProps } from './paper';
import { ScenePaper, SceneSheet } from './ScenePaper';
import { useScenePaper } from './useScenePaper';

const ROOM = { top: 104, side: 16, bottom: 48 };
/** On a phone what stands over the paper takes two rows. */
const ROOM_NARROW = { top: 150, side: 8, bottom: 56 };
/** What stands across the paper, px: heights, the staff, beds written out, the scale they stand on, fixed heights with their fields. */
const WIDE = {
  heights: 84,
  staff: 84,
  named: 14,
  bed: 56,
  scale: 92,
  wide: 120,
  gap: 34,
  flag: 118,
  field: 130,
};
const NARROW = {
  heights: 78,
  staff: 50,
  named: 12,
  bed: 40,
  scale: 0,
  wide: 0,
  gap: 60,
  flag: 74,
  field: 92,
};
const KEY_PLAN = 142;
/** Flags with their fields stand so far from one another. */
const APART = { wide: 52, narrow: 66, phone: 80 };
/** A fixed height is marked so far past the staff, and goes on past the beds. */
const TICK = 8;

const acrossOf = (a: typeof WIDE): number =>
  a.heights + a.staff + a.scale + a.wide + a.gap + a.flag + a.field;

/** The pole brought forward: every bed with its thickness, fixed heights pulled and typed where they stand. */
export function PolePaper({ job, view, show }: PaperProps): ReactNode {
  const tell = useTell();
  const asList = useViewing((s) => s.asList);
  const live = useViewing((s) => s.course);
  const pole = usePole(view);
  const level = !isLaidInCourses(view);
  const narrow = useNarrow(700);
  const room = narrow ? ROOM_NARROW : ROOM;
  const high = Math.max(view.wall.height, view.courses.at(-1)?.top ?? 0);
  const paper = useScenePaper(
    useMemo(() => ({ x: 0, y: 0, w: 1, h: high }), [high]),
    room,
  );
  const { at } = paper;
  // The key plan stands in the corner. Beside a wide slip there may be no room for the scale of the beds: they are written all the same.
  const wide = (at?.width ?? Infinity) - (narrow ? 0 : KEY_PLAN);
  const across = wide < acrossOf(WIDE) ? NARROW : WIDE;
  const spare = Number.isFinite(wide) ? Math.max(4, (wide - acrossOf(across)) / 2) : 4;
  const left = (narrow ? 0 : KEY_PLAN) + spare + across.heights;
  const scale = at?.scale ?? 1;
  const shapes = useMemo(() => {
    const all = largePoleShapes(pole, { show, px: 1 / scale, ...across, live });
    // Stone has no bed to be read off a scale.
    return level ? all.filter((s) => !s.role.startsWith('bed-')) : all;
  }, [pole, show, scale, across, live, level]);
  const flagged = left + across.staff + across.scale + across.wide;
  const flags = at
    ? spacedFlags(
        view.flags,
        (mm) => at.base - mm * at.scale,
        narrow ? APART.phone : across === NARROW ? APART.narrow : APART.wide,
        room.top - 4,
      )
    : [];
  const choose = (e: PointerEvent<SVGRectElement>): void => {
    const up = (e.currentTarget.getBoundingClientRect().bottom - e.clientY) / scale;
    const course = view.courses.find((c) => up < c.top);
    if (course) look({ course: course.number });
  };
  return (
    <ScenePaper
      paper={paper}
      job={job}
      drawing={
        at && (
          <>
            <SceneSheet
              at={at}
              role="group"
              says={tell(PAPER.poleSays({ courses: view.courses.length, flags: view.flags.length }))}
              data-pole={view.courses.length}
            >
              <Shapes shapes={shapes} layout={{ left, base: at.base, scale }} />
              <rect
                x={left - across.heights}
                y={at.base - high * scale}
                width={across.heights + across.staff}
                height={high * scale}
                className="cursor-pointer fill-transparent"
                onPointerDown={choose}
              />
              <Letters
                view={view}
                layout={at}
                stage="gauge"
                column={Math.max(16, left - across.heights - 20)}
              />
              {flags.map(({ flag, y }) => (
                <g key={flag.paths[0]}>
                  <path
                    d={`M${left} ${at.base - flag.at * scale}h${across.staff + TICK}M${left + across.staff + across.named + across.bed} ${at.base - flag.at * scale}H${flagged + across.gap}`}
                    className={flag.onMark ? 'stroke-chalk' : 'stroke-fault'}
                    strokeWidth="2"
                  />
                  <FlagMark
                    {...{ view, layout: at, show, flag, y }}
                    from={flagged + across.gap}
                    to={flagged + across.gap + across.flag}
                    letters={Math.floor((across.flag - 18) / 7.4)}
                  />
                </g>
              ))}
            </SceneSheet>
            {flags.map(({ flag, y }) => (
              <div
                key={flag.paths[0]}
                className="absolute"
                style={{ left: flagged + across.gap + across.flag + 4, top: y - 14, width: across.field - 4 }}
              >
                <Height flag={flag} view={view} show={show} />
              </div>
            ))}
          </>
        )
      }
    >
      <PaperHead
        title={tell(PAPER.poleOf({ wall: view.wall.name }))}
        aside={<Told said={level ? AT_STONE.poleHint : PAPER.poleHint({ bed: view.wall.bed })} />}
      >
        <button className="press-plain" onClick={() => look({ paper: 'wall' })}>
          {tell(PAPER.toTheFace)}
        </button>
        <Near />
      </PaperHead>
      {asList && <AsList view={view} show={show} />}
    </ScenePaper>
  );
}

/** A fixed height to be typed, and how it stands to the course nearest to it. */
function Height({ flag, view, show }: Pick<PaperProps, 'view' | 'show'> & { flag: Flag }): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const isTop = flag.paths.some((path) => path.endsWith('/height'));
  return (
    <>
      <LengthField
        bare
        label={tell(PAPER.heightOf({ name: flag.name }))}
        {...(isTop ? { name: 'height' } : {})}
        counts="courses"
        value={flag.at}
        show={show}
        module={view.wall.module}
        pitch={view.wall.pitch}
        onChange={(value) => edit(flag.paths.map((path) => ({ op: 'replace', path, value })))}
      />
      <p className={`text-xs ${flag.onMark ? 'text-soft' : 'font-semibold text-fault'}`}>
        <Told
          said={PAPER.standsToCourse({
            of: isLaidInCourses(view) ? 'course' : 'level',
            way: flag.onMark ? 'on' : flag.over > 0 ? 'over' : 'under',
            by: Math.abs(flag.over),
            course: flag.course,
          })}
        />
      </p>
    </>
  );
}
