import { inOrder, type SpaceLength, type StyleDocument } from '@garnish/core/system/document';

const stepsOf = (length: SpaceLength): readonly string[] =>
  length.kind === 'step' || length.kind === 'stepped'
    ? [length.step, ...Object.values(length.at ?? {})]
    : [];

/** The parts of a document in which steps are used. */
export const STEP_USERS = ['layout', 'space', 'type'] as const;

/** What uses each step, by its name. */
export function stepUses({
  layout,
  space,
  type,
}: Pick<StyleDocument, (typeof STEP_USERS)[number]>): ReadonlyMap<string, readonly string[]> {
  const uses = new Map<string, string[]>();
  const note = (step: string, name: string): void => {
    const names = uses.get(step) ?? [];
    if (!names.includes(name)) uses.set(step, [...names, name]);
  };
  for (const [, { name, value, block }] of inOrder(space.roles))
    for (const step of [...stepsOf(value), ...(block ? stepsOf(block) : [])]) note(step, name);
  for (const [key, part] of Object.entries(space.parts))
    if ('step' in part) note(part.step, key.replace('.', ', '));
  for (const [, { name, after }] of inOrder(type.roles))
    if (after !== undefined) note(after, `after ${name}`);
  for (const [, { name, cell }] of inOrder(layout.patterns)) note(cell, `pattern ${name}`);
  return uses;
}
