import { useId, useState, type ChangeEvent, type FocusEvent, type KeyboardEvent } from 'react';

type Control = HTMLInputElement | HTMLTextAreaElement;

interface DraftOptions {
  /** What stands in the field while nobody writes in it. */
  readonly shown: string;
  /** Takes what was written, and answers why it would not do, in words. */
  readonly take: (text: string) => string | undefined;
  /** Words of several lines: Enter goes on with the next, and leaving the field takes them. */
  readonly long?: boolean;
  /** What would not do is not worth keeping: the field shows again what it showed. */
  readonly goesBack?: boolean;
}

export interface Draft {
  /** What the control needs: its value, its events, and that it was refused. */
  readonly field: {
    readonly value: string;
    readonly 'aria-invalid': boolean;
    readonly 'aria-describedby': string | undefined;
    readonly onChange: (event: ChangeEvent<Control>) => void;
    readonly onBlur: (event: FocusEvent<Control>) => void;
    readonly onKeyDown: (event: KeyboardEvent<Control>) => void;
  };
  /** Why what was written would not do, and the id of the line that says so. */
  readonly problem: string | undefined;
  readonly problemId: string;
  /** What was reached without writing takes the place of what was written. */
  readonly settle: (problem: string | undefined) => void;
}

/**
 * Something that is being written: taken with Enter or when the field is left, given up with Escape.
 * While it would not do it stays as it was written, and the field says why.
 */
export function useDraft({ shown, take, long = false, goesBack = false }: DraftOptions): Draft {
  const problemId = useId();
  const [draft, setDraft] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const settle = (told: string | undefined): void => {
    setDraft(undefined);
    setProblem(told);
  };
  const end = (text: string): void => {
    const told = take(text);
    setProblem(told);
    if (told === undefined || goesBack) setDraft(undefined);
  };
  return {
    problem,
    problemId,
    settle,
    field: {
      value: draft ?? shown,
      'aria-invalid': problem !== undefined,
      'aria-describedby': problem === undefined ? undefined : problemId,
      onChange: (event) => setDraft(event.currentTarget.value),
      onBlur: (event) => draft !== undefined && end(event.currentTarget.value),
      onKeyDown: (event) => {
        if (event.key === 'Enter' && !long) end(event.currentTarget.value);
        if (event.key !== 'Escape' || (draft === undefined && problem === undefined)) return;
        // What is around the field is closed by the next Escape.
        event.stopPropagation();
        settle(undefined);
      },
    },
  };
}
