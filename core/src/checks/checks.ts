import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { alikeCheck } from './alike.ts';
import { bodySizeCheck } from './body-size.ts';
import { contrastCheck } from './contrast.ts';
import {
  budgetCheck,
  embeddingCheck,
  familiesCheck,
  figuresCheck,
  languagesCheck,
  smallTextCheck,
  xHeightCheck,
} from './faces.ts';
import type { Check, Finding } from './finding.ts';
import { closeLevelsCheck, headingOrderCheck } from './heading-order.ts';
import { hiddenTokensCheck } from './hidden-tokens.ts';
import { linesCheck } from './lines.ts';
import { readerCheck } from './reader.ts';
import {
  fitCheck,
  lineHeightCheck,
  rootCheck,
  longWordsCheck,
  smallSizesCheck,
} from './setting.ts';
import { namesCheck } from './names.ts';
import { patternsCheck } from './patterns.ts';
import { statesCheck } from './states.ts';
import { stepsCheck } from './steps.ts';
import { strokesCheck } from './strokes.ts';
import { weightsCheck } from './weights.ts';
import { zoomCheck } from './zoom.ts';

/** All checks; a new one is a file and a line here. */
export const CHECKS: readonly Check[] = [
  contrastCheck,
  alikeCheck,
  statesCheck,
  strokesCheck,
  weightsCheck,
  headingOrderCheck,
  bodySizeCheck,
  zoomCheck,
  readerCheck,
  closeLevelsCheck,
  linesCheck,
  smallSizesCheck,
  lineHeightCheck,
  longWordsCheck,
  fitCheck,
  rootCheck,
  languagesCheck,
  figuresCheck,
  xHeightCheck,
  smallTextCheck,
  familiesCheck,
  budgetCheck,
  embeddingCheck,
  stepsCheck,
  patternsCheck,
  hiddenTokensCheck,
  namesCheck,
];

/** Every finding, what is to be repaired first. */
export function findingsOf(document: StyleDocument, derived: Derived): readonly Finding[] {
  const all = CHECKS.flatMap((check) => check(document, derived));
  return [
    ...all.filter(({ severity }) => severity === 'repair'),
    ...all.filter(({ severity }) => severity === 'look'),
  ];
}

/** A finding that was accepted as it is stays known and becomes quiet. */
export const isAccepted = ({ accepted }: StyleDocument, { id }: Finding): boolean =>
  Object.hasOwn(accepted, id);
