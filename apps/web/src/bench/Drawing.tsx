import type { BenchView, Job, Show, StageName } from '@even-tally/core';
import { memo, type ReactNode } from 'react';
import { stageNamed } from '../stages/registry';
import { useShown } from '../state/shown';
import { useViewing, type PaperKind } from '../state/view';
import type { Planner } from '../workers/planner';
import { KeyPlan } from './KeyPlan';
import { CoursePaper } from './papers/CoursePaper';
import { MudPaper } from './papers/MudPaper';
import { PlanPaper } from './papers/PlanPaper';
import { PolePaper } from './papers/PolePaper';
import { SectionPaper } from './papers/SectionPaper';
import { UnfoldedPaper } from './papers/UnfoldedPaper';
import { WallPaper } from './papers/WallPaper';
import type { PaperProps } from './papers/paper';

/** The drawings the paper can show. */
const PAPERS: Record<PaperKind, (props: PaperProps) => ReactNode> = {
  wall: WallPaper,
  plan: PlanPaper,
  pole: PolePaper,
  section: SectionPaper,
  course: CoursePaper,
  unfolded: UnfoldedPaper,
  mud: MudPaper,
};

export const Drawing = memo(DrawnSheet);

interface Asked {
  wallId: string;
  job: Job;
  show: Show;
  stage: StageName;
  stem: string;
  planner: Planner;
}

/** The paper: what follows the hand every frame. A stage says which drawing lies on it until another is asked for. */
function DrawnSheet({ wallId, ...rest }: Asked): ReactNode {
  const view = useShown((s) => s.view);
  return view?.wall.id === wallId && <Sheet {...rest} view={view} />;
}

function Sheet(props: Omit<Asked, 'wallId'> & { view: BenchView }): ReactNode {
  const kind = useViewing((s) => s.paper) ?? stageNamed(props.stage)?.paper ?? 'wall';
  const drawing = useViewing((s) => s.drawing !== null) && kind === 'plan';
  const Paper = PAPERS[kind];
  return (
    <div className="relative flex min-h-0 min-w-0 grow">
      <Paper key={kind} {...props} />
      {!drawing && kind !== 'mud' && <KeyPlan {...props} />}
    </div>
  );
}
