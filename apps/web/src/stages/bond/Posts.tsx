import { AT_BOND } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { Listed } from '../../ui/Listed';
import type { PanelProps } from '../panel';
import { useWallList } from '../useWallList';
import { written } from '../written';

/** First sizes of a post, as timber is sold in each measure. */
const FIRST = { 'ft-in': 6 * 25.4, mm: 150 } as const;

/** Posts of a frame that stand in this run: units are notched round them. */
export function Posts({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const list = useWallList(job, view, 'posts', 'P');
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const length = view.runs[view.run]?.length ?? 0;
  const size = written(FIRST[show], show);
  return (
    <Listed
      title={tell(AT_BOND.posts)}
      one={AT_BOND.post}
      add={AT_BOND.addPost}
      none={tell(AT_BOND.noPosts)}
      items={view.posts}
      keyOf={(p) => p.id}
      onAdd={() => list.add({ run: view.run, at: written(length / 2, show), width: size, depth: size })}
      onRemove={(p) => list.remove(p.index)}
    >
      {(p) => (
        <div className="grid grid-cols-2 items-end gap-x-3 gap-y-1">
          {(
            [
              ['at', AT_BOND.postAt, p.at],
              ['from', AT_BOND.postIn, p.in ?? (view.wall.thickness - p.depth) / 2],
              ['width', AT_BOND.postWide, p.width],
              ['depth', AT_BOND.postDeep, p.depth],
            ] as const
          ).map(([key, label, value]) => (
            <LengthField
              key={key}
              name={`post-${key}`}
              label={tell(label)}
              value={value}
              {...measure}
              onChange={(v) => list.set(p.index, key, v)}
            />
          ))}
        </div>
      )}
    </Listed>
  );
}
