import { isOffering } from '@garnish/core/checks/tried-repairs';
import type { Finding } from '@garnish/core/checks/finding';
import type { StyleDocument } from '@garnish/core/system/document';
import type { RepairAnswer, RepairQuestion } from './repair-worker.ts';

/** Tries the repairs of findings away from the page, and tells what is left of each. */
export interface RepairTrier {
  readonly ask: (document: StyleDocument, findings: readonly Finding[]) => void;
  readonly close: () => void;
}

/** Tells what is left of a finding of a document, and at the end that all were tried. */
export type Tell = (document: StyleDocument, finding: Finding | undefined) => void;

/** A trier in a worker of its own, which is started when there is something to try for the first time. */
export function workerTrier(tell: Tell): RepairTrier {
  let worker: Worker | undefined;
  let asked: { readonly id: number; readonly document: StyleDocument } | undefined;
  return {
    ask(document, findings) {
      const offering = findings.filter(isOffering);

      if (!worker) {
        worker = new Worker(new URL('./repair-worker.ts', import.meta.url), { type: 'module' });
        worker.onmessage = ({ data: { id, finding } }: MessageEvent<RepairAnswer>) => {
          if (asked?.id === id) tell(asked.document, finding);
        };
      }
      asked = { id: (asked?.id ?? 0) + 1, document };
      worker.postMessage({ id: asked.id, document, findings: offering } satisfies RepairQuestion);
    },
    close() {
      worker?.terminate();
      worker = undefined;
    },
  };
}
