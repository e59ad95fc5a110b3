import type { Space, SpaceUse } from '../../system/document.ts';
import { everyMode, type MadeToken, type TokenValue } from '../../tokens/token.ts';
import type { DerivedSpace, Rule, SpaceStep } from '../derived.ts';
import { remValue } from './lengths.ts';
import { tokenOf } from './space.ts';

/** A part of a component that space makes: where, by which property, and with which role. */
export interface SpacePart {
  readonly selector: string;
  readonly property:
    | 'padding'
    | 'padding-block'
    | 'padding-block-start'
    | 'padding-block-end'
    | 'padding-inline-start'
    | 'padding-inline-end'
    | 'margin-block-start'
    | 'gap'
    | 'row-gap'
    | 'min-block-size';
  readonly role: string;
  readonly use: SpaceUse;
  /** What it is, in words. */
  readonly says: string;
}

const part = (
  selector: string,
  property: SpacePart['property'],
  role: string,
  says: string,
): SpacePart => ({
  selector,
  property,
  role,
  says,
  use: property.endsWith('gap')
    ? 'gap'
    : property === 'min-block-size'
      ? 'size'
      : property.startsWith('margin')
        ? 'margin'
        : 'inset',
});

/** Every space of the components, by its key; each takes its usual role until a system decides otherwise. */
export const SPACE_PARTS: Readonly<Record<string, SpacePart>> = {
  'header.inset': part('.site-header', 'padding-block', 'inset', 'above and below the header'),
  'header.gap': part('.site-header', 'gap', 'inline', 'between name and navigation'),
  'nav.gap': part('.site-nav', 'gap', 'inline', 'between links of the navigation'),
  'nav-link.target': part('.nav-link', 'min-block-size', 'target', 'height of a navigation link'),
  'main.gap': part('.site-main', 'row-gap', 'section', 'between the parts of a page'),
  'main.end': part('.site-main', 'padding-block-end', 'section', 'below the last part of a page'),
  'hero.inset': part('.hero', 'padding-block-start', 'section', 'above the opening'),
  'picture.start': part(
    '.over-picture',
    'margin-block-start',
    'inset',
    'above an opening with a picture',
  ),
  'hero.gap': part('.hero', 'gap', 'stack', 'between the words of the opening'),
  'picture-words.inset': part('.hero-words', 'padding', 'inset', 'around words on a picture'),
  'picture-words.gap': part('.hero-words', 'gap', 'stack', 'between words on a picture'),
  'actions.gap': part('.actions', 'gap', 'inline', 'between buttons'),
  'button.inset': part('.button', 'padding', 'control', 'inside a button'),
  'button.target': part('.button', 'min-block-size', 'target', 'height of a button'),
  'quiet-button.inset': part('.quiet-button', 'padding', 'control', 'inside a quiet button'),
  'quiet-button.target': part(
    '.quiet-button',
    'min-block-size',
    'target',
    'height of a quiet button',
  ),
  'field.inset': part('.field', 'padding', 'control-small', 'inside a field'),
  'field.target': part('.field', 'min-block-size', 'target', 'height of a field'),
  'form-row.gap': part('.form-row', 'gap', 'tight', 'between a label and its field'),
  'block.gap': part('.block', 'row-gap', 'stack', 'inside a part of the page'),
  'notice.inset': part('.notice', 'padding', 'inset', 'inside a notice'),
  'alerts.gap': part('.alerts', 'row-gap', 'gutter', 'between rows of messages'),
  'alert.inset': part('.alert', 'padding', 'inset-small', 'inside a message'),
  'alert.gap': part('.alert', 'gap', 'tight', 'between the words of a message'),
  'tag.inset': part('.tag', 'padding', 'control-small', 'inside a label'),
  'table.cell': part(
    '.table th, .table td',
    'padding-block',
    'tight',
    'above and below a table cell',
  ),
  'table.between': part(
    '.table th, .table td',
    'padding-inline-end',
    'inline',
    'between columns of a table',
  ),
  'cards.gap': part('.cards', 'row-gap', 'gutter', 'between rows of cards'),
  'card.inset': part('.card', 'padding', 'inset', 'inside a card'),
  'card.gap': part('.card', 'gap', 'tight', 'between the words of a card'),
  'ground.inset': part('.ground', 'padding', 'inset-large', 'around a part on a surface'),
  'points.gap': part('.points', 'row-gap', 'gutter', 'between rows of selling points'),
  'point.inset': part('.point', 'padding-block-start', 'tight', 'above a selling point'),
  'point.gap': part('.point', 'gap', 'closest', 'between the words of a selling point'),
  'list.inset': part(
    '.list',
    'padding-inline-start',
    'inset-large',
    'before a list in running text',
  ),
  'list.gap': part('.list', 'gap', 'closest', 'between lines of a list'),
  'quotation.inset': part('.quotation', 'padding-inline-start', 'inline', 'before a quote'),
  'quotation.gap': part('.quotation', 'gap', 'tight', 'between a quote and its source'),
  'testimonials.gap': part('.testimonials', 'row-gap', 'gutter', 'between rows of testimonials'),
  'code-block.inset': part('.code-block', 'padding', 'inset-small', 'around code'),
  'figure.gap': part('.figure', 'gap', 'closest', 'between a picture and its caption'),
  'footnote.gap': part('.footnote', 'gap', 'tight', 'between a footnote and its number'),
  'gallery.gap': part('.gallery', 'row-gap', 'gutter', 'between rows of a gallery'),
  'steps.gap': part('.steps', 'gap', 'tight', 'between steps'),
  'step.inset': part('.step', 'padding-block-start', 'tight', 'above a step'),
  'step.gap': part('.step', 'gap', 'inline', 'between a step and its number'),
  'step-words.gap': part('.step-words', 'row-gap', 'closest', 'between the words of a step'),
  'band.inset': part('.band', 'padding', 'inset-large', 'around a band'),
  'band.gap': part('.band', 'gap', 'stack', 'between the words of a band and its button'),
  'band-words.gap': part('.band-words', 'row-gap', 'closest', 'between the words of a band'),
  'ways.gap': part('.ways', 'gap', 'tight', 'between ways to reach somebody'),
  'way.inset': part('.way', 'padding-block-start', 'closest', 'above a way to reach somebody'),
  'way.gap': part('.way', 'gap', 'inline', 'between its sign and its words'),
  'questions.gap': part('.questions', 'gap', 'stack', 'between questions'),
  'question.gap': part('.question', 'gap', 'closest', 'between a question and its answer'),
  'footer.gap': part('.site-footer', 'gap', 'inset-large', 'between the parts of the footer'),
  'footer-groups.gap': part('.footer-groups', 'row-gap', 'stack', 'between groups of the footer'),
  'footer-group.gap': part('.footer-group', 'gap', 'closest', 'under the title of a group'),
  'footer-link.target': part(
    '.footer-link',
    'min-block-size',
    'target-small',
    'height of a link in the footer',
  ),
  'footer.inset': part('.site-footer', 'padding-block', 'inset', 'above and below the footer'),
};

/** The token of a part, and the declaration that it is used in. */
export interface Piece {
  readonly key: string;
  readonly token: string;
  readonly property: string;
  readonly reference?: string;
  readonly value: TokenValue;
}

interface PartSources {
  readonly spaces: ReadonlyMap<string, DerivedSpace>;
  readonly steps: ReadonlyMap<string, SpaceStep>;
  readonly root: number;
}

/** One token for a part, or two where its role has other lengths above and below than at the sides. */
function piecesOf(
  key: string,
  { property, role: usual }: SpacePart,
  decided: Space['parts'][string] | undefined,
  { spaces, steps, root }: PartSources,
): readonly Piece[] {
  const step = decided && 'step' in decided ? steps.get(decided.step) : undefined;
  if (step)
    return [
      { key, token: key, property, reference: `step.${step.slug}`, value: remValue(step.px, root) },
    ];
  if (decided && 'px' in decided)
    return [{ key, token: key, property, value: remValue(decided.px, root) }];
  const role = spaces.get((decided && 'role' in decided ? decided.role : undefined) ?? usual);
  if (!role) return [];
  const piece = (token: string, property1: string, side: 'inline' | 'block'): Piece => ({
    key,
    token,
    property: property1,
    reference: tokenOf(role, side),
    value: role[side].value,
  });
  if (!role.apart) return [piece(key, property, 'inline')];
  if (property === 'padding')
    return [
      piece(`${key}-block`, 'padding-block', 'block'),
      piece(`${key}-inline`, 'padding-inline', 'inline'),
    ];
  if (property === 'gap')
    return [
      piece(`${key}-block`, 'row-gap', 'block'),
      piece(`${key}-inline`, 'column-gap', 'inline'),
    ];
  const side = property.startsWith('padding-inline') ? 'inline' : 'block';
  return [piece(key, property, side)];
}

/** Every space of the components with the token that holds it. */
export const derivePieces = (
  parts: Space['parts'],
  spaces: ReadonlyMap<string, DerivedSpace>,
  steps: ReadonlyMap<string, SpaceStep>,
  root: number,
): readonly Piece[] =>
  Object.entries(SPACE_PARTS).flatMap(([key, own]) =>
    piecesOf(key, own, parts[key], { spaces, steps, root }),
  );

/** A component token for every space of the components. */
export const derivePartTokens = (pieces: readonly Piece[]): MadeToken[] =>
  pieces.map(({ key, token, reference, value: { extension, ...value } }) => ({
    id: token,
    path: token.split('.'),
    tier: 'component',
    type: 'dimension',
    values: everyMode(
      reference === undefined
        ? { ...value, ...(extension !== undefined && { extension }) }
        : { ...value, reference },
    ),
    trail: () => ({
      decisions: [
        {
          path: `/space/parts/${key}`,
          label: SPACE_PARTS[key]?.says ?? key,
          value: reference ?? value.css ?? '',
        },
      ],
      steps: [reference === undefined ? 'a length of its own, on no scale' : 'as its role'],
    }),
  }));

/** The rules that use them: one for each part of a component. */
export function derivePartRules(
  pieces: readonly Pick<Piece, 'key' | 'token' | 'property'>[],
): Rule[] {
  const bySelector = new Map<string, (readonly [string, string])[]>();
  for (const { key, token, property } of pieces) {
    const selector = SPACE_PARTS[key]?.selector ?? '';
    const there = bySelector.get(selector) ?? [];
    there.push([property, `var(--${token.replace('.', '-')})`]);
    bySelector.set(selector, there);
  }
  return [...bySelector].map(([selector, declarations]) => ({ selector, declarations }));
}
