import type { SpacePart } from '../../components/component.ts';
import { SPACE_PARTS, SPACES_AND_SIDES } from '../../components/spaces.ts';
import type { StyleDocument } from '../../system/document.ts';
import type { Patch } from '../../system/patch.ts';
import type { Repair } from '../finding.ts';
import { around, type MeasuredBox, type MeasuredPage } from './measured-page.ts';

/** Where space is measured on a box. */
export type Place =
  | 'padding-top'
  | 'padding-right'
  | 'padding-bottom'
  | 'padding-left'
  | 'margin-top'
  | 'margin-bottom'
  | 'row-gap'
  | 'column-gap'
  | 'height';

const PLACES: Readonly<Record<SpacePart['property'], readonly Place[]>> = {
  padding: ['padding-top', 'padding-right', 'padding-bottom', 'padding-left'],
  'padding-block': ['padding-top', 'padding-bottom'],
  'padding-block-start': ['padding-top'],
  'padding-block-end': ['padding-bottom'],
  'padding-inline-start': ['padding-left', 'padding-right'],
  'padding-inline-end': ['padding-right', 'padding-left'],
  'margin-block-start': ['margin-top'],
  gap: ['row-gap', 'column-gap'],
  'row-gap': ['row-gap'],
  'column-gap': ['column-gap'],
  'min-block-size': ['height'],
};

const PARTS = Object.entries(SPACE_PARTS);

/** Whether one of the selectors of a part is meant for a box: `.card`, or a tag inside of `.table`. */
function isMeant(selector: string, page: MeasuredPage, index: number): boolean {
  const box = page.boxes[index];
  if (!box) return false;
  return selector.split(', ').some((one) => {
    const [outer = '', tag] = one.split(' ');
    if (tag === undefined) return box.classes.includes(outer.slice(1));
    return (
      box.tag === tag &&
      [...around(page.boxes, index)].some(({ classes }) => classes.includes(outer.slice(1)))
    );
  });
}

/** The part of a component that makes a space on a box, or the side of it where that is decided by itself. */
export function partAt(
  page: MeasuredPage,
  index: number,
  place: Place,
  { space }: Pick<StyleDocument, 'space'>,
): string | undefined {
  const isAt = ({ selector, property }: SpacePart): boolean =>
    PLACES[property].includes(place) && isMeant(selector, page, index);
  const side = Object.keys(space.parts).find((key) => {
    const own = SPACES_AND_SIDES.get(key);
    return own?.side !== undefined && isAt(own);
  });
  return side ?? PARTS.find(([, part]) => isAt(part))?.[0];
}

/** The patch that lets a part take something else. */
export const setting = (
  { space }: StyleDocument,
  key: string,
  value: StyleDocument['space']['parts'][string],
): Patch => [
  {
    op: Object.hasOwn(space.parts, key) ? 'replace' : 'add',
    path: `/space/parts/${key}`,
    value: { ...value },
  },
];

/** The repair that takes a part back to its usual role; nothing where it has it. */
export function backToRole(
  { space }: StyleDocument,
  key: string,
  before: string,
  after: string,
): Repair | undefined {
  if (!Object.hasOwn(space.parts, key)) return undefined;
  const { role = '', side } = SPACES_AND_SIDES.get(key) ?? {};
  return {
    label: side
      ? 'As on its other sides again'
      : `Follow ${space.roles.items[role]?.name ?? role} again`,
    patch: [{ op: 'remove', path: `/space/parts/${key}` }],
    before,
    after,
  };
}

export const says = (px: number): string => `${Number(px.toFixed(2))} px`;

/** What a box belongs to, in words, where it is one of many alike. */
export const alike = ({ classes, tag }: MeasuredBox): string => classes[0] ?? tag;
