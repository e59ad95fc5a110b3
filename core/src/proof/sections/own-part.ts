import { id } from '../../system/schema-parts.ts';
import { kind } from './kind.ts';

/** A part of one’s own where it stands on a page: its sections, which are the same wherever it does. */
export const ownPart = kind({
  id: 'part',
  name: 'Own part',
  says: 'sections that are the same on every page',
  shape: { part: id },
  start: () => ({ part: 'part' }),
  nodes: ({ part }, _, build) => build.part(part),
});
