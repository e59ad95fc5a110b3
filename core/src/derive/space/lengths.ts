import { inherited } from '../../space/inherited.ts';
import {
  fixedPx,
  shrinkingCss,
  shrinkingPx,
  swapWidths,
  type FixedLength,
  type Shrinking,
} from '../../space/shrinking.ts';
import type { Collection, SpaceLength, StyleDocument } from '../../system/document.ts';
import { inOrder } from '../../system/document.ts';
import { propertyOfPath, type TokenJson, type TokenValue } from '../../tokens/token.ts';
import {
  fluidCss,
  fluidPx,
  fluidSize,
  kneesOf,
  lengthJson,
  ROOT_PX,
  type FluidSize,
} from '../../type/fluid.ts';
import type { DerivedLength, LengthAt, LengthFrom, SpaceStep } from '../derived.ts';

/** px as rem of a root that is such a share of the browser's font size. */
export const remOf = (px: number, root: number): number => Number((px / ROOT_PX / root).toFixed(4));

/** A length in px at a root of 16 px, as a value in rem. */
export const remValue = (px: number, root: number) => ({
  json: { value: remOf(px, root), unit: 'rem' } as const,
  css: `${remOf(px, root)}rem`,
});

/** A size that flows as a value: the largest in the open format, the whole in our own extension. */
export const fluidValue = (size: FluidSize): TokenValue => ({
  json: lengthJson(size.maxRem, size.written),
  css: fluidCss(size),
  ...(size.clamps.length > 0 && { extension: { fluid: fluidJson(size) } }),
});

const fluidJson = (size: FluidSize): TokenJson => ({
  rest: lengthJson(size.restRem, size.written),
  clamps: size.clamps.map(({ minRem, maxRem, baseRem, slope }) => ({
    minimum: lengthJson(minRem, size.written),
    maximum: lengthJson(maxRem, size.written),
    base: lengthJson(baseRem, size.written),
    slope,
  })),
  unit: size.unit,
});

/** All that lengths are made of. */
export interface LengthSources {
  readonly steps: ReadonlyMap<string, SpaceStep>;
  /** From the narrowest up; of an anchor space reads the width alone. */
  readonly anchors: readonly (readonly [id: string, widthPx: number])[];
  readonly unit: StyleDocument['type']['unit'];
  readonly breakpoints: Collection<{ readonly width: number }>;
  /** The root's font size as a share of the browser's. */
  readonly root: number;
}

const scaled = (px: number, { rootPx = ROOT_PX }: LengthAt): number => (px * rootPx) / ROOT_PX;

/** How much a rem that is written is of the browser's font size, in px. */
const stepLength = (step: SpaceStep, root: number): DerivedLength => ({
  value: { reference: `step.${step.slug}`, ...remValue(step.px, root) },
  from: [],
  px: (at) => scaled(step.px, at),
  bends: [],
  follows: 'nothing',
});

/** A step at the first anchor and others at later ones; what an anchor does not say it inherits. */
function flowing(
  { step, at = {} }: Extract<SpaceLength, { kind: 'step' }>,
  { steps, anchors, unit, root }: LengthSources,
): DerivedLength | undefined {
  const first = steps.get(step);
  if (!first) return undefined;
  const [, ...later] = inherited(
    step,
    at,
    anchors.map(([id]) => id),
  );
  const stops = [step, ...later.map(({ value }) => value)].flatMap((id, index) => {
    const px = steps.get(id)?.px;
    const widthPx = anchors[index]?.[1];
    return px === undefined || widthPx === undefined ? [] : [{ widthPx, sizePx: px }];
  });
  if (stops.every(({ sizePx }) => sizePx === first.px)) return stepLength(first, root);
  const fluid = fluidSize(stops, unit, { length: 'rem', root });
  return {
    value: fluidValue(fluid),
    from: [],
    px: ({ widthPx, rootPx = ROOT_PX }) => fluidPx(fluid, widthPx, rootPx),
    bends: kneesOf(fluid),
    follows: 'screen',
    fluid,
  };
}

function stepped(
  { step, at }: Extract<SpaceLength, { kind: 'stepped' }>,
  { steps, breakpoints, root }: LengthSources,
): DerivedLength | undefined {
  const first = steps.get(step);
  if (!first) return undefined;
  const widths = new Map(inOrder(breakpoints).map(([id, { width }]) => [id, width]));
  const stops = inherited(step, at, breakpoints.order).flatMap(({ id, value, isSet }) => {
    const own = steps.get(value);
    return isSet && own ? [{ fromPx: widths.get(id) ?? 0, step: own }] : [];
  });
  const from = stops.map(({ fromPx, step: own }) => ({
    fromPx,
    value: { reference: `step.${own.slug}`, ...remValue(own.px, root) },
  }));
  const usual = stepLength(first, root);
  return {
    ...usual,
    value: { ...usual.value, ...(from.length > 0 && { extension: breakpointsJson(from) }) },
    from,
    px: (at1) =>
      scaled(stops.findLast(({ fromPx }) => at1.widthPx >= fromPx)?.step.px ?? first.px, at1),
    bends: stops.map(({ fromPx }) => fromPx),
    follows: stops.length > 0 ? 'screen' : 'nothing',
  };
}

/** What a value is from breakpoints up, which the open format cannot say. */
export const breakpointsJson = (
  from: readonly LengthFrom[],
): { readonly [key: string]: TokenJson } => ({
  from: from.map(({ fromPx, value }) => ({
    width: { value: fromPx, unit: 'px' },
    value: value.reference === undefined ? value.json : `{${value.reference}}`,
  })),
});

/** A length that counts rems of 16 px, as it is written under the root that is set. */
const written = (length: FixedLength, root: number): FixedLength =>
  length.unit === 'rem' ? { ...length, value: remOf(length.value * ROOT_PX, root) } : length;

const lengthJsonOf = ({ value, unit }: FixedLength) =>
  unit === 'px'
    ? ({ value, unit } as const)
    : ({ value: Number(value.toFixed(4)), unit: 'rem' } as const);

function shrinking(
  length: Extract<SpaceLength, { kind: 'shrinking' }>,
  { root }: LengthSources,
): DerivedLength {
  const emitted: Shrinking = {
    form: length.form,
    fixed: written(length.fixed, root),
    share: length.share,
    ...(length.least && { least: written(length.least, root) }),
  };
  const sizes = (at: LengthAt) => ({
    fontPx: at.fontPx ?? at.rootPx ?? ROOT_PX,
    rootPx: (at.rootPx ?? ROOT_PX) * root,
  });
  const css = shrinkingCss(emitted);
  return {
    value: {
      json: lengthJsonOf(emitted.fixed),
      css,
      extension: {
        shrinking: {
          form: emitted.form,
          fixed: { ...emitted.fixed },
          share: emitted.share,
          ...(emitted.least && { least: { ...emitted.least } }),
        },
      },
    },
    from: [],
    px: (at) => shrinkingPx(emitted, at.containerPx ?? at.widthPx, sizes(at)),
    bends: swapWidths(emitted, sizes({ widthPx: 0 })),
    follows: 'container',
    ...(length.form === 'clamp' && {
      plain: css.replace(/^clamp\((.*), (.*), (.*)\)$/, 'max($1, min($2, $3))'),
    }),
  };
}

function own(
  { value, unit }: Extract<SpaceLength, { kind: 'own' }>,
  { root }: LengthSources,
): DerivedLength {
  const length = written({ value, unit }, root);
  return {
    value: {
      json: lengthJsonOf(length),
      css: `${Number(length.value.toFixed(4))}${unit}`,
      ...(unit === 'em' && { extension: { em: value } }),
    },
    from: [],
    px: (at) =>
      fixedPx(length, {
        fontPx: at.fontPx ?? at.rootPx ?? ROOT_PX,
        rootPx: (at.rootPx ?? ROOT_PX) * root,
      }),
    bends: [],
    follows: unit === 'em' ? 'text' : 'nothing',
  };
}

/** A dimension of the open format below 0. */
function negative(json: TokenJson): TokenJson {
  if (typeof json !== 'object' || json === null || !('value' in json)) return json;
  const { value } = json;
  return typeof value === 'number' ? { ...json, value: -value } : json;
}

/** The same length to the other side, taken from the token that holds it. */
export function opposite(length: DerivedLength, token: string): DerivedLength {
  return {
    value: {
      json: negative(length.value.json),
      css: `calc(-1 * var(${propertyOfPath(token.split('.'))}))`,
      extension: { minus: `{${token}}` },
    },
    from: [],
    px: (at) => -length.px(at),
    bends: length.bends,
    follows: length.follows,
  };
}

/** A length that rests on steps, breakpoints or its text; undefined where a step is not there. */
export function deriveLength(
  length: Exclude<SpaceLength, { kind: 'minus' | 'grid' }>,
  sources: LengthSources,
): DerivedLength | undefined {
  switch (length.kind) {
    case 'step':
      return flowing(length, sources);
    case 'stepped':
      return stepped(length, sources);
    case 'shrinking':
      return shrinking(length, sources);
    case 'own':
      return own(length, sources);
  }
}
