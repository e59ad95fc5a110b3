import { produce } from 'immer';
import { applyPatch } from 'rfc6902';
import * as z from 'zod/mini';
import type { StyleDocument } from './document.ts';
import { validate, type Problem } from './validate.ts';

/** Any JSON value; one schema for all, so that a description of the API can name it. */
export const jsonValue = z.json();

const path = z.string().check(
  z.maxLength(400),
  z.regex(/^(\/([^~/]|~0|~1)+)+$/),
  z.refine((text) => !/\/(__proto__|constructor|prototype)(\/|$)/.test(text)),
  z.refine((text) => !/\/(order|files|mood|languages|needs|because)\//.test(text), {
    error: 'lists are replaced whole',
  }),
);

/** The operations of JSON Patch (RFC 6902) that a change is made of. */
export const operation = z.discriminatedUnion('op', [
  z.strictObject({ op: z.literal('add'), path, value: jsonValue }),
  z.strictObject({ op: z.literal('replace'), path, value: jsonValue }),
  z.strictObject({ op: z.literal('remove'), path }),
]);

export const patchSchema = z.array(operation).check(z.minLength(1), z.maxLength(500));

export type Operation = Readonly<z.infer<typeof operation>>;
export type Patch = readonly Operation[];

/** The value of an operation. */
export type Json = Extract<Operation, { op: 'add' }>['value'];

/** A copy of something that is JSON by its schema, as the value of an operation. */
export const jsonOf = (value: unknown): Json => JSON.parse(JSON.stringify(value)) as Json;

export type Patched =
  | { readonly ok: true; readonly document: StyleDocument }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/**
 * The document with the operations applied, whole or not at all; parts that no operation touches
 * keep their identity. Problems where an operation does not fit, or the result is no valid document.
 */
export function patched(document: StyleDocument, patch: Patch): Patched {
  let failed: Problem | undefined;
  const next = produce(document, (draft) => {
    const results = applyPatch(
      draft,
      patch.map((operation) => structuredCopy(operation)),
    );
    const at = results.findIndex((result) => result !== null);
    if (at >= 0)
      failed = { path: patch[at]?.path ?? '', message: 'there is nothing at this place to change' };
  });
  if (failed) return { ok: false, problems: [failed] };
  const checked = validate(next);
  return checked.ok ? { ok: true, document: next } : checked;
}

/** A copy, so that a value in a patch is never shared with a document that is drafted later. */
const structuredCopy = (operation: Operation): Operation =>
  JSON.parse(JSON.stringify(operation)) as Operation;

const partsOf = (pointer: string): string[] =>
  pointer
    .split('/')
    .slice(1)
    .map((part) => part.replaceAll('~1', '/').replaceAll('~0', '~'));

/** What stands at a JSON Pointer (RFC 6901); undefined where there is nothing. */
export function valueAt(document: unknown, pointer: string): unknown {
  let here: unknown = document;
  for (const part of partsOf(pointer)) {
    if (typeof here !== 'object' || here === null || !Object.hasOwn(here, part)) return undefined;
    here = (here as Record<string, unknown>)[part];
  }
  return here;
}

/**
 * The operations that lead back from `patched(document, patch)` to `document`, last first.
 * Array elements are never addressed (orders are replaced whole), so that each has one inverse.
 */
export function inverseOf(document: StyleDocument, patch: Patch): Patch {
  const inverse: Operation[] = [];
  let here = document;
  for (const operation of patch) {
    const before = valueAt(here, operation.path);
    inverse.unshift(
      before === undefined
        ? { op: 'remove', path: operation.path }
        : {
            op: operation.op === 'remove' ? 'add' : 'replace',
            path: operation.path,
            value: before as Json,
          },
    );
    here = produce(here, (draft) => {
      applyPatch(draft, [structuredCopy(operation)]);
    });
  }
  return inverse;
}

/** Whether a change at one path bears on the other: the same, an ancestor or a descendant. */
export const overlaps = (one: string, other: string): boolean =>
  one === other || one.startsWith(`${other}/`) || other.startsWith(`${one}/`);

/** The first path of `patch` that bears on one of `others`. */
export const firstOverlap = (patch: Patch, others: Patch): string | undefined =>
  patch.find(({ path: own }) => others.some((operation) => overlaps(own, operation.path)))?.path;
