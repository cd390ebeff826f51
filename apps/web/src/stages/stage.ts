import type { Said, StageName } from '@even-tally/core';
import type { ComponentType } from 'react';
import type { PaperKind } from '../state/view';
import type { PanelProps } from './panel';

/** A stage as the bench has it: its name on the line, and the settings it puts on the slip. */
export interface BenchStage {
  key: StageName;
  name: Said;
  Panel: ComponentType<PanelProps>;
  /** The drawing it brings forward; left out, the face of the run. */
  paper?: PaperKind;
}
