/**
 * Makes a worker answer what it is asked, one question after the other; what goes wrong is told as a problem in words.
 * @param answer finds the answer, and may tell how far it is meanwhile
 */
// Whoever asks says what of.
// oxlint-disable-next-line typescript/no-unnecessary-type-parameters
export function answering<Question, Answer extends { readonly kind: string }>(
  answer: (
    question: Question,
    tell: (progress: Progress) => void,
  ) => Promise<Answer | WorkerProblem>,
): void {
  const scope = self as unknown as {
    onmessage: (event: MessageEvent<Question>) => void;
    postMessage: (answer: Answer | WorkerProblem | Progress) => void;
  };
  let last: Promise<unknown> = Promise.resolve();
  scope.onmessage = ({ data }) => {
    last = last
      .then(() => answer(data, (progress) => scope.postMessage(progress)))
      .catch((error: unknown): WorkerProblem => ({
        kind: 'problem',
        words: `It could not be read: ${error instanceof Error ? error.message : String(error)}.`,
      }))
      .then((told) => scope.postMessage(told))
      .catch(() => undefined);
  };
}

/** How far a worker is. */
export interface Progress {
  readonly kind: 'progress';
  readonly words: string;
  readonly done: number;
  readonly of: number;
}

/** Why there is no answer, in words. */
export interface WorkerProblem {
  readonly kind: 'problem';
  readonly words: string;
}
