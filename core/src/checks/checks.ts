import type { Derived } from '../derive/derived.ts';
import { keptList } from '../same.ts';
import type { StyleDocument } from '../system/document.ts';
import { alikeCheck } from './alike.ts';
import { altCheck } from './alt.ts';
import { bodySizeCheck } from './body-size.ts';
import { componentStatesCheck } from './component-states.ts';
import { componentWeightCheck } from './component-weight.ts';
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
import {
  iconContrastCheck,
  iconDetailsCheck,
  iconStrokeCheck,
  iconWeightCheck,
  lostIconsCheck,
  mixedIconsCheck,
} from './icons.ts';
import { gradientTextsCheck } from './gradient-texts.ts';
import { grayOnTintCheck } from './gray-on-tint.ts';
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
import { logoCheck } from './logo.ts';
import { lostDeparturesCheck } from './lost-departures.ts';
import { lostVariantsCheck } from './lost-variants.ts';
import { inOrderOfWeight, inThemes } from './order.ts';
import { namedControlsCheck } from './named-controls.ts';
import { namesCheck } from './names.ts';
import { patternsCheck } from './patterns.ts';
import { sameTextsCheck } from './same-texts.ts';
import { sameVariantsCheck } from './same-variants.ts';
import { statesCheck } from './states.ts';
import { stepsCheck } from './steps.ts';
import { toldByColorCheck } from './told-by-color.ts';
import { strokesCheck } from './strokes.ts';
import { unequalRoomCheck } from './unequal-room.ts';
import { weightsCheck } from './weights.ts';
import { zoomCheck } from './zoom.ts';

/** All checks; a new one is a file and a line here. */
export const CHECKS: readonly Check[] = [
  contrastCheck,
  alikeCheck,
  statesCheck,
  componentStatesCheck,
  toldByColorCheck,
  sameVariantsCheck,
  componentWeightCheck,
  lostDeparturesCheck,
  lostVariantsCheck,
  gradientTextsCheck,
  grayOnTintCheck,
  unequalRoomCheck,
  iconContrastCheck,
  iconStrokeCheck,
  iconDetailsCheck,
  mixedIconsCheck,
  iconWeightCheck,
  lostIconsCheck,
  logoCheck,
  altCheck,
  namedControlsCheck,
  strokesCheck,
  weightsCheck,
  headingOrderCheck,
  bodySizeCheck,
  zoomCheck,
  readerCheck,
  closeLevelsCheck,
  sameTextsCheck,
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

const isSameReading = (one: readonly unknown[], other: readonly unknown[]): boolean =>
  one.every((part, index) => Object.is(part, other[index]));

/** Gives every finding of a document; see `createChecker`. */
export interface Checker {
  (document: StyleDocument, derived: Derived): readonly Finding[];
  /** Asks the checks one after the other, so that whoever waits for a key can go between: then all is remembered. */
  readonly warm: (document: StyleDocument, derived: Derived) => Generator<undefined>;
}

/**
 * A function that gives every finding, what is to be repaired first. It remembers what each check read
 * last: one that would read the same is not asked again, and a finding that says the same as before is
 * the very same object, as is the list where nothing changed.
 */
export function createChecker(): Checker {
  const known = new Map<
    Check,
    { readonly read: readonly unknown[]; readonly found: readonly Finding[] }
  >();
  let last: readonly Finding[] = [];
  const ask = (check: Check, document: StyleDocument, derived: Derived): readonly Finding[] => {
    const read = check.reads(document, derived);
    const before = known.get(check);
    if (before && isSameReading(before.read, read)) return before.found;
    const found = keptList(before?.found ?? [], check.find(document, derived), ({ id }) => id);
    known.set(check, { read, found });
    return found;
  };
  const all = (document: StyleDocument, derived: Derived): readonly Finding[] => {
    const found = CHECKS.flatMap((check) => ask(check, document, derived));
    last = keptList(last, inOrderOfWeight(inThemes(found, derived.themes)), ({ id }) => id);
    return last;
  };
  function* warm(document: StyleDocument, derived: Derived): Generator<undefined> {
    for (const check of CHECKS) {
      ask(check, document, derived);
      yield undefined;
    }
  }
  return Object.assign(all, { warm });
}

/** Every finding of one document, what is to be repaired first; nothing is remembered. */
export const findingsOf = (document: StyleDocument, derived: Derived): readonly Finding[] =>
  createChecker()(document, derived);
