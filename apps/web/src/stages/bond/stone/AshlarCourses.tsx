import { AT_STONE } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../../state/words';
import { LengthField } from '../../../ui/LengthField';
import { Listed } from '../../../ui/Listed';
import { useWallFields } from '../../useWallFields';
import { written } from '../../written';
import type { StoneProps } from './StonePart';

/** Heights of the courses of ashlar, from the lowest up. */
export function AshlarCourses({ job, view, show, stone }: StoneProps): ReactNode {
  const tell = useTell();
  const { set } = useWallFields(job, view);
  if (stone.kind !== 'ashlar') return null;
  const filed = stone.courses.map((h) => written(h, show));
  return (
    <Listed
      title={tell(AT_STONE.courses)}
      one={AT_STONE.course}
      add={AT_STONE.addCourse}
      none={tell(AT_STONE.lastGoesOn)}
      items={stone.courses.map((high, index) => ({ high, index }))}
      keyOf={(c) => String(c.index)}
      onAdd={() => set('/build/courses', [...filed, filed.at(-1)])}
      // A wall without courses is none: the last stays.
      onRemove={(c) =>
        filed.length > 1 &&
        set(
          '/build/courses',
          filed.filter((_, i) => i !== c.index),
        )
      }
      after={<p className="text-small text-soft">{tell(AT_STONE.lastGoesOn)}</p>}
    >
      {(c) => (
        <LengthField
          label={tell(AT_STONE.courseHigh({ n: c.index + 1 }))}
          value={c.high}
          show={show}
          module={0}
          pitch={0}
          onChange={(v) =>
            set(
              '/build/courses',
              filed.map((h, i) => (i === c.index ? v : h)),
            )
          }
        />
      )}
    </Listed>
  );
}
