import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import type { Build } from './sections/kind.ts';

/** What the head and the foot of every page are made of. */
export interface Site {
  readonly build: Build;
  readonly document: StyleDocument;
  readonly derived: Derived;
}
