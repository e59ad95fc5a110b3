import { element, type ProofElement } from '../proof/node.ts';
import type { Declarations, Part, SpacePart } from './component.ts';

/** What stands below each other. */
export const STACK: Declarations = {
  display: 'grid',
  'grid-template-columns': 'minmax(0, 1fr)',
};
export const ROW: Declarations = { display: 'flex', 'flex-wrap': 'wrap' };
export const LINK: Declarations = {
  display: 'inline-flex',
  'align-items': 'center',
  'text-decoration-line': 'none',
};
/** A control looks the same whether it is a link, a button or an input: nothing of the browser’s own is left. */
export const CONTROL: Declarations = {
  'box-sizing': 'border-box',
  margin: '0',
  'border-style': 'solid',
  'border-color': 'currentcolor',
  appearance: 'none',
  'text-decoration-line': 'none',
};
/** What is switched off steps back; so far where a system has no opacity of its own. */
export const OFF: Declarations = { cursor: 'not-allowed', opacity: '0.6' };
export const OFF_OPACITY = {
  part: 'opacity-off',
  property: 'opacity',
  from: ['opacity.2', 'opacity.1'],
  state: 'off',
} as const;
/** What opens and closes above the page: it is gone for everybody, and still fades. Source: CSS Transitions 2. */
export const FADING: Declarations = {
  'transition-property': 'opacity, overlay, display',
  'transition-behavior': 'allow-discrete',
};
/** Words in the middle of a control, a sign beside them. */
export const MIDDLE: Declarations = {
  display: 'inline-flex',
  'align-items': 'center',
  'justify-content': 'center',
};
export const COVERING: Declarations = {
  position: 'absolute',
  inset: '0',
  'inline-size': '100%',
  'block-size': '100%',
  'object-fit': 'cover',
};
/** A list of links or parts without marks. */
export const UNMARKED: Declarations = { margin: '0', padding: '0', 'list-style': 'none' };

export const CONTROL_CORNER = { from: ['corner.control'], property: 'border-radius' } as const;
export const CARD_CORNER = { from: ['corner.card'], property: 'border-radius' } as const;
export const LINE_WIDTH = { from: ['edge.line'], property: 'border-width' } as const;

/** The line above a thing in a row of them. */
export const lineAbove = (of: string): readonly Part[] => [
  { of, part: 'line', from: ['color.line'], property: 'border-block-start-color' },
  { of, part: 'line-width', from: ['edge.line'], property: 'border-block-start-width' },
];

/** A space of a component; what it is used for follows from its property. */
export const space = (
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

/** A picture that stands for any, in the color of the words around it. */
export const drawnPicture = (className?: string, width = 160): ProofElement =>
  element(
    'svg',
    {
      ...(className !== undefined && { class: className }),
      viewBox: '0 0 160 90',
      width: String(width),
      height: String((width * 9) / 16),
      preserveAspectRatio: 'xMidYMid slice',
      'aria-hidden': 'true',
    },
    element('path', { d: 'M0 0H160V90H0Z', fill: 'currentcolor', opacity: '0.2' }),
    element('path', {
      d: 'M0 68 42 34 78 62 112 40 160 72V90H0Z',
      fill: 'currentcolor',
      opacity: '0.5',
    }),
  );

/** An icon of the sheet: it is nothing but its classes, and says nothing to who does not see it. */
export const sign = (slug: string): ProofElement =>
  element('span', { class: `icon icon-${slug}`, 'aria-hidden': 'true' });

/** The sign that a link leads to another place. */
export const outwardSign = (): ProofElement => sign('outward');

/** Beside words in the middle of a control, an icon is moved to be beside their capitals. */
export const BESIDE_WORDS: Declarations = {
  position: 'relative',
  'inset-block-start': 'var(--icon-shift)',
};
