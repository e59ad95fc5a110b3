import { findingsOf } from '@garnish/core/checks/checks';
import type { Finding } from '@garnish/core/checks/finding';
import { triedRepairs } from '@garnish/core/checks/tried-repairs';
import { createDeriver } from '@garnish/core/derive/derive';
import type { StyleDocument } from '@garnish/core/system/document';

export interface RepairQuestion {
  readonly id: number;
  readonly document: StyleDocument;
  readonly findings: readonly Finding[];
}

export interface RepairAnswer {
  readonly id: number;
  /** What is left of one finding; absent when all were tried. */
  readonly finding?: Finding;
}

const derive = createDeriver();
let newest = 0;

/** Tries one repair after the other, and stops as soon as something else is asked. */
self.onmessage = ({ data }: MessageEvent<RepairQuestion>) => {
  const { id, document, findings } = data;
  newest = id;
  const tries = triedRepairs(document, findings, (one) => findingsOf(one, derive(one)));
  const next = (): void => {
    if (newest !== id) return;
    const step = tries.next();
    if (step.done) {
      self.postMessage({ id } satisfies RepairAnswer);
      return;
    }
    if (step.value) self.postMessage({ id, finding: step.value } satisfies RepairAnswer);
    // Between two tries a newer question is heard.
    setTimeout(next, 0);
  };
  next();
};
