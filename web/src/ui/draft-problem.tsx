import type { Draft } from './use-draft.ts';

interface DraftProblemProps {
  readonly draft: Draft;
  /** What stays in force. */
  readonly stays?: string;
}

/** Why what was written would not do, beneath its field. */
export function DraftProblem({ draft: { problem, problemId }, stays }: DraftProblemProps) {
  if (problem === undefined) return null;
  return (
    <p id={problemId} role="alert" className="mt-1 text-xs text-error">
      {problem}
      {stays !== undefined && ` ${stays} stays in force.`}
    </p>
  );
}
