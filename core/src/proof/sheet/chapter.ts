import type { Derived, LengthAt, Rule } from '../../derive/derived.ts';
import { inOrder, type Mode, type StyleDocument } from '../../system/document.ts';
import type { Token } from '../../tokens/token.ts';
import { element, type ProofElement, type ProofNode } from '../node.ts';
import type { Build } from '../sections/kind.ts';
import { showing, type Manner } from './manners.ts';

/** What a chapter of the sheet of parts is set from. */
export interface Given {
  readonly document: StyleDocument;
  readonly derived: Derived;
  /** The theme that the sheet is shown in. */
  readonly mode: Mode;
  readonly build: Build;
}

/** A chapter of the sheet of parts: one kind of thing, every one of them once. */
export interface Chapter {
  readonly id: string;
  readonly name: string;
  /** The keys of the groups of tokens whose values it tells: while they are the same, so is it. */
  readonly reads: readonly string[];
  /** Whether it holds whole parts of pages, which stand in no text of the sheet. */
  readonly isOfPages?: true;
  /** Nothing where the system has none of them. */
  readonly nodes: (given: Given) => readonly ProofNode[];
  /** Rules that its specimens need beside those of the sheet. */
  readonly rules?: (derived: Derived) => readonly Rule[];
}

/** A number as it is told: at most two decimals, and a true minus. */
export const told = (value: number): string => String(Number(value.toFixed(2))).replace('-', '−');

/** From the first to the last screen that sizes are decided for, in px. */
export function pxOver(px: (at: LengthAt) => number, { document: { type } }: Given): string {
  const widths = inOrder(type.anchors).map(([, { width }]) => width);
  const [least, most] = [Math.min(...widths), Math.max(...widths)].map((widthPx) =>
    told(px({ widthPx })),
  );
  const to = least?.startsWith('−') || most?.startsWith('−') ? ' to ' : '–';
  return least === most ? `${least} px` : `${least}${to}${most} px`;
}

/** The value of a token as the theme has it; nothing where no single property holds it. */
export const valueIn = ({ values }: Token, mode: Mode): string => values[mode].css ?? '';

/** A part of the sheet that is no specimen. */
export const part = (name: string, ...children: readonly ProofNode[]): ProofElement =>
  element('div', { class: `sheet-${name}` }, ...children);

/** Names what stands above it, with its value. */
export const caption = ({ build }: Pick<Given, 'build'>, name: string, value = ''): ProofElement =>
  build.text(
    'p',
    'caption',
    [
      element('span', { class: 'sheet-name' }, name),
      ...(value === '' ? [] : [' ', element('span', { class: 'sheet-value' }, value)]),
    ],
    undefined,
    'sheet-caption',
  );

/** What shows tokens, each in a manner. */
export const specimen = (
  shape: string,
  shows: readonly (readonly [Manner, Token])[],
  ...children: readonly ProofNode[]
): ProofElement =>
  element(
    'div',
    {
      class: [`sheet-${shape}`, ...shows.map(([manner, token]) => showing(manner, token))].join(
        ' ',
      ),
    },
    ...children,
  );

/** A specimen with its name below. */
export const named = (shown: ProofNode, said: ProofElement): ProofElement =>
  part('named', shown, said);

/** A line of things that belong together, under a small title where they have one. */
export const row = (
  given: Pick<Given, 'build'>,
  title: string,
  shape: string,
  things: readonly ProofNode[],
): readonly ProofNode[] =>
  things.length === 0 ? [] : [part('row', caption(given, title), part(shape, ...things))];

/** The tokens of a group whose path begins so, in their order. */
export const tokensUnder = ({ derived }: Given, ...heads: readonly string[]): readonly Token[] =>
  derived.tokens.filter(({ path }) => heads.includes(path[0] ?? ''));
