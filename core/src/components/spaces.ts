import type { SpacePart } from './component.ts';
import { COMPONENTS } from './components.ts';

/** Every space of the components, by its key; each takes its usual role until a system decides otherwise. */
export const SPACE_PARTS: Readonly<Record<string, SpacePart>> = Object.fromEntries(
  COMPONENTS.flatMap(({ spaces = {} }) => Object.entries(spaces)),
);
