import * as z from 'zod/mini';
import type { StyleDocument } from './document.ts';
import { json } from './schema-parts.ts';
import { frozen, inheritedWords, isInherited, jsonOf, jsonProblem, type Json } from './json.ts';
import { keepingStep, touchesRoles } from './following.ts';
import { validate, type Problem } from './validate.ts';

export { jsonOf, type Json } from './json.ts';

/** The parts of a JSON Pointer (RFC 6901). */
const partsOf = (pointer: string): string[] =>
  pointer
    .split('/')
    .slice(1)
    .map((part) => part.replaceAll('~1', '/').replaceAll('~0', '~'));

const path = z.string().check(
  // The first that fails is the last that is asked: an expression would go too deep for a long text.
  z.maxLength(400, { abort: true }),
  z.regex(/^(\/([^~/]|~0|~1)+)+$/),
  z.refine((text) => !partsOf(text).some(isInherited), {
    error: 'a place in it is called as something that every object has',
  }),
);

/** The operations of JSON Patch (RFC 6902) that a change is made of. */
export const operation = z.discriminatedUnion('op', [
  z.strictObject({ op: z.literal('add'), path, value: json }),
  z.strictObject({ op: z.literal('replace'), path, value: json }),
  z.strictObject({ op: z.literal('remove'), path }),
]);

export const patchSchema = z.array(operation).check(z.minLength(1), z.maxLength(500));

export type Operation = Readonly<z.infer<typeof operation>>;
export type Patch = readonly Operation[];

export type Patched =
  | {
      readonly ok: true;
      readonly document: StyleDocument;
      /** What leads back from `document` to the one before, last operation first. */
      readonly inverse: Patch;
    }
  | { readonly ok: false; readonly problems: readonly Problem[] };

type Node = Record<string, unknown>;

const isNode = (thing: unknown): thing is Node =>
  typeof thing === 'object' && thing !== null && !Array.isArray(thing);

/** A tree in which what is about to change is copied once, and all else is shared. */
function draftOf(document: StyleDocument) {
  const copies = new Set<unknown>();
  const copied = (node: Node): Node => {
    if (copies.has(node)) return node;
    const copy = { ...node };
    copies.add(copy);
    return copy;
  };
  const root: Node = { ...document };
  copies.add(root);
  return {
    root,
    /** The part that holds the last name of a path, ready to be changed; a problem where there is none. */
    holderOf(parts: readonly string[]): Node | string {
      let here = root;
      for (const part of parts.slice(0, -1)) {
        const next = Object.hasOwn(here, part) ? here[part] : undefined;
        if (Array.isArray(next)) return 'lists are replaced whole';
        if (!isNode(next)) return 'there is nothing at this place to change';
        here = here[part] = copied(next);
      }
      return here;
    },
  };
}

/** Whether text roles stand where they are to, each something with parts: a patch may have put anything there. */
const hasRoles = ({ type }: { readonly type?: unknown }): boolean => {
  const roles = isNode(type) ? type['roles'] : undefined;
  const items = isNode(roles) ? roles['items'] : undefined;
  return (
    isNode(items) &&
    Object.values(items).every(
      (role) =>
        isNode(role) &&
        (role['follows'] === undefined ||
          (isNode(role['follows']) &&
            typeof role['follows']['of'] === 'string' &&
            Array.isArray(role['follows']['but']))),
    )
  );
};

/**
 * The document with the operations applied, whole or not at all, and what leads back. Parts that no
 * operation touches keep their identity. Every place has to exist as a part of its own, but the last of an
 * added one; elements of lists are not addressed (a list is replaced whole), so that each operation has
 * one inverse. Text roles that follow others are kept in step with them. Problems where an operation does not fit, or the result is no valid document. Source of the
 * operations: RFC 6902, of which `test`, `move` and `copy` are not taken.
 */
export function patched(document: StyleDocument, patch: Patch): Patched {
  const draft = draftOf(frozen(document));
  const inverse: Operation[] = [];
  /** Does one, or tells why it does not fit. */
  const apply = (operation: Operation): string | undefined => {
    const parts = partsOf(operation.path);
    const name = parts.at(-1);
    if (name === undefined) return 'the whole document is no place to change';
    if (isInherited(name)) return inheritedWords(name);
    const holder = draft.holderOf(parts);
    if (typeof holder === 'string') return holder;
    const isThere = Object.hasOwn(holder, name);
    if (!isThere && operation.op !== 'add') return 'there is nothing at this place to change';
    const before = holder[name] as Json;
    const { path: at } = operation;
    if (operation.op === 'remove') {
      Reflect.deleteProperty(holder, name);
      inverse.push({ op: 'add', path: at, value: before });
      return undefined;
    }
    const problem = jsonProblem(operation.value);
    if (problem !== undefined) return problem;
    holder[name] = jsonOf(operation.value);
    inverse.push(isThere ? { op: 'replace', path: at, value: before } : { op: 'remove', path: at });
    return undefined;
  };
  for (const operation of patch) {
    const message = apply(operation);
    if (message !== undefined) return { ok: false, problems: [{ path: operation.path, message }] };
  }
  // What is asked of a role that is not there as a role is for validation to refuse.
  const root = draft.root as unknown as StyleDocument;
  const changed = patch.map(({ path: at }) => at);
  if (changed.some(touchesRoles) && hasRoles(root))
    for (const step of keepingStep(root, changed)) apply(step);
  const next = frozen(draft.root) as unknown as StyleDocument;
  const checked = validate(next);
  return checked.ok ? { ok: true, document: next, inverse: inverse.toReversed() } : checked;
}

/** What stands at a JSON Pointer (RFC 6901); undefined where there is nothing. */
export function valueAt(document: unknown, pointer: string): unknown {
  let here: unknown = document;
  for (const part of partsOf(pointer)) {
    if (typeof here !== 'object' || here === null || !Object.hasOwn(here, part)) return undefined;
    here = (here as Record<string, unknown>)[part];
  }
  return here;
}

/** Whether a change at one path bears on the other: the same, an ancestor or a descendant. */
export const overlaps = (one: string, other: string): boolean =>
  one === other || one.startsWith(`${other}/`) || other.startsWith(`${one}/`);

/** The places of `patch` that bear on one of `others`, each once, in the order of the patch. */
export const overlapsOf = (patch: Patch, others: Patch): readonly string[] => [
  ...new Set(
    patch
      .map(({ path: own }) => own)
      .filter((own) => others.some((operation) => overlaps(own, operation.path))),
  ),
];
