import { inOrder } from '../../system/document.ts';
import type { Token } from '../../tokens/token.ts';
import { caption, named, row, specimen, valueIn, type Chapter } from './chapter.ts';
import type { Manner } from './manners.ts';

/** How a token of a type is shown that is not the system’s own, and on what. */
const SHOWN: Readonly<Record<string, readonly [shape: string, manner: Manner, words?: string]>> = {
  color: ['swatch', 'fill'],
  dimension: ['bar', 'long'],
  number: ['clear', 'grown'],
  fontFamily: ['inked', 'face', 'Aa'],
  fontWeight: ['inked', 'weight', 'Aa'],
  duration: ['moving', 'lasts'],
  cubicBezier: ['moving sheet-slow', 'eases'],
  shadow: ['level', 'raised'],
  border: ['framed', 'edge'],
  strokeStyle: ['framed', 'stroke'],
  gradient: ['swatch', 'image'],
  transition: ['moving', 'moves'],
};

/** How a token is shown, by what it is. */
const shownAs = ({ type }: Token) => (Object.hasOwn(SHOWN, type) ? SHOWN[type] : undefined);

/** Tokens from elsewhere, each by its type. */
export const imported: Chapter = {
  id: 'imported',
  name: 'Other tokens',
  reads: ['custom'],
  nodes: (given) =>
    row(
      given,
      'By their types',
      'swatches',
      inOrder(given.document.tokens.custom).flatMap(([, { path }]) => {
        const token = given.derived.tokenById.get(path);
        const as = token && shownAs(token);
        return token && as
          ? [
              named(
                specimen(as[0], [[as[1], token]], ...(as[2] === undefined ? [] : [as[2]])),
                caption(given, token.id, valueIn(token, given.mode)),
              ),
            ]
          : [];
      }),
    ),
};
