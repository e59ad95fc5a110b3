import type { Patch } from '@garnish/core/system/patch';

/** A change as far as undoing it needs to know. */
export interface Past {
  readonly author: string;
  readonly gesture: string;
  readonly kind: 'change' | 'undo' | 'redo';
  readonly label: string;
  readonly inverse: Patch;
  readonly sequence: number;
}

/** Something that can be undone or done again: one gesture, however many changes it took. */
export interface Step {
  readonly label: string;
  readonly patch: Patch;
  readonly gesture: string;
  /** The newest change it is about; what others did since then is compared with it. */
  readonly sequence: number;
}

export interface Stacks {
  readonly undo: readonly Step[];
  readonly redo: readonly Step[];
}

/** What one author can undo and redo, told from all changes in their order. */
export function stacksOf(changes: readonly Past[], author: string): Stacks {
  const undo: Step[] = [];
  const redo: Step[] = [];
  for (const change of changes) {
    if (change.author !== author) continue;
    const { gesture, inverse: patch, kind, label, sequence } = change;
    const step = { gesture, patch, label, sequence };
    if (kind === 'undo') {
      undo.pop();
      redo.push(step);
    } else if (kind === 'redo') {
      redo.pop();
      undo.push(step);
    } else {
      redo.length = 0;
      const top = undo.at(-1);
      if (top?.gesture === gesture)
        undo[undo.length - 1] = { ...step, patch: [...patch, ...top.patch] };
      else undo.push(step);
    }
  }
  return { undo, redo };
}
