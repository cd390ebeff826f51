import type { CourseAbove } from '@even-tally/core';
import { PAPER } from '@even-tally/words';
import type { ReactNode } from 'react';
import { look, useViewing } from '../../state/view';
import { useTell } from '../../state/words';
import { Told } from '../../ui/Told';
import { useNarrow } from '../../ui/useNarrow';
import { Typeset } from '../../ui/Typeset';
import { useAsked } from '../../workers/useAsked';
import { Shapes } from '../Shapes';
import { Near } from '../Near';
import { CourseAsList } from './CourseAsList';
import { isLaidInCourses } from '../layout';
import { PaperHead } from './PaperHead';
import { PrintOne } from './PrintOne';
import type { PaperProps } from './paper';
import { ScenePaper, SceneSheet } from './ScenePaper';
import { useScenePaper } from './useScenePaper';

const ROOM = { top: 96, side: 70, bottom: 104 };
const ROOM_NARROW = { top: 200, side: 50, bottom: 110 };
/** Steps of the wall beside the one that is up. */
const BESIDE = [-1, 0, 1];

/** One course round the whole wall, from above: what is carried to the scaffold and how it lies. */
export function CoursePaper({ job, view, show, planner }: PaperProps): ReactNode {
  const tell = useTell();
  const live = useViewing((s) => s.course);
  const asList = useViewing((s) => s.asList);
  const paper = useCourse(planner, job, view.wall.index, live, show);
  const { at, above } = paper;
  const steps = BESIDE.map((by) => live + by).filter((n) => n >= 1 && n <= view.courses.length);
  return (
    <ScenePaper
      paper={paper}
      job={job}
      drawing={
        above &&
        at && (
          <SceneSheet
            at={at}
            role="img"
            says={tell(PAPER.courseSays({ course: above.course, picks: above.picks, bars: above.bars }))}
            data-course-above={above.course}
          >
            <Shapes shapes={above.scene.shapes} layout={at} />
          </SceneSheet>
        )
      }
    >
      <PaperHead
        title={tell(PAPER.courseFromAbove({ course: live }))}
        aside={
          above && (
            <Typeset
              words={tell(PAPER.courseStands({ top: above.top, bed: above.bed, run: above.start.run }))}
            />
          )
        }
      >
        <div role="group" aria-label={tell(PAPER.steps)} className="flex">
          {steps.map((n) => (
            <button
              key={n}
              aria-pressed={n === live}
              onClick={() => look({ course: n })}
              className={`figures h-7 min-w-9 border border-ink px-2 font-bold ${n === live ? 'bg-live text-on-live' : 'bg-sheet hover:bg-chalk-pale'}`}
            >
              {n}
            </button>
          ))}
        </div>
        <PrintOne
          kind="pdf:courses"
          says={PAPER.printCards}
          job={job}
          view={view}
          show={show}
          planner={planner}
        />
        <button className="press-plain" onClick={() => look({ paper: null })}>
          {tell(PAPER.backToTheWall)}
        </button>
        <Near />
      </PaperHead>
      {above && <CourseFacts rough={!isLaidInCourses(view)} above={above} />}
      {asList && above && <CourseAsList above={above} show={show} />}
    </ScenePaper>
  );
}

/** The course as it was planned last, at the scale there is room for; asked at a scale first, then at its own. */
function useCourse(
  planner: PaperProps['planner'],
  job: PaperProps['job'],
  wall: number,
  course: number,
  show: PaperProps['show'],
) {
  // Where the plan lies does not hang on the scale: only which lengths are written does.
  const rough = useAsked(planner, 'course', { wall, course, show, px: 20 }, job);
  const paper = useScenePaper(rough?.scene.box ?? null, useNarrow(700) ? ROOM_NARROW : ROOM);
  const fine = useAsked(planner, 'course', { wall, course, show, px: paper.px }, job);
  return { ...paper, above: fine ?? rough };
}

/** What is picked up; and of units what passes through and lies in it, and what is not as in the course it is held against. */
function CourseFacts({ above, rough }: { above: CourseAbove; rough: boolean }): ReactNode {
  return (
    <div className="pointer-events-none absolute right-4 bottom-3 left-4 text-center" aria-live="polite">
      <p className="font-narrow text-lg font-bold">
        <Told said={above.picks} />
      </p>
      {above.behind.map(({ course, picks }) => (
        <p key={course} className="font-narrow font-bold">
          <Told said={picks ? PAPER.innerBegins({ course, picks }) : PAPER.innerStands({ course })} />
        </p>
      ))}
      {!rough && (
        <p className="text-small">
          <Told
            said={PAPER.coursePasses({
              bars: above.bars,
              ties: above.ties,
              bed: above.bedSteel ? 'some' : 'none',
            })}
          />
          {above.against !== null && (
            <span className="ml-3 text-chalk">
              <Told
                said={
                  above.fresh > 0
                    ? PAPER.outlined({ fresh: above.fresh, against: above.against })
                    : PAPER.asBelow({ against: above.against })
                }
              />
            </span>
          )}
        </p>
      )}
    </div>
  );
}
