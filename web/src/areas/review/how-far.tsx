import { ProgressLine } from '../../ui/progress-line.tsx';
import type { DriftState } from './use-drift.ts';

interface HowFarProps {
  readonly progress: DriftState['progress'];
  readonly problem: string | undefined;
  readonly onCancel: () => void;
}

/** How far the reading of files is, or why they were not read. */
export const HowFar = ({ progress, problem, onCancel }: HowFarProps) => (
  <>
    {progress && (
      <ProgressLine
        label="Reading the files"
        done={progress.done}
        of={progress.of}
        words={progress.words}
        onCancel={onCancel}
      />
    )}
    {problem !== undefined && (
      <p role="alert" className="text-error">
        {problem}
      </p>
    )}
  </>
);
