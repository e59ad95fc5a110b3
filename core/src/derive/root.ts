import type { StyleDocument } from '../system/document.ts';
import { node } from './graph.ts';
import { rootShare } from './type/styles.ts';

/** The root's font size as a share of the browser's. */
export const root = node('root', [({ type }: StyleDocument) => type.root], (decided) =>
  rootShare({ ...(decided !== undefined && { root: decided }) }),
);
