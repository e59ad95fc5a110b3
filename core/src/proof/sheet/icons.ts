import { sign } from '../../components/pieces.ts';
import type { Manner } from './manners.ts';
import { caption, named, row, specimen, tokensUnder, valueIn, type Chapter } from './chapter.ts';

/** How lengths of icons are shown. */
const MANNER_OF: ReadonlyMap<string, Manner> = new Map([
  ['icon.stroke', 'thick'],
  ['icon.gap', 'long'],
  ['icon.shift', 'below'],
]);

/** Every icon of the site, and what is decided of all of them. */
export const icons: Chapter = {
  id: 'icons',
  name: 'Icons',
  reads: ['icons', 'color'],
  nodes(given) {
    const { mode, derived } = given;
    const lengths = tokensUnder(given, 'icon');
    return [
      ...row(
        given,
        'Signs',
        'swatches',
        [...derived.icons.values()].map(({ name, slug }) => {
          const shown = sign(slug);
          const { class: own = '' } = shown.attributes;
          return named(
            { ...shown, attributes: { ...shown.attributes, class: `${own} sheet-icon` } },
            caption(given, name, slug),
          );
        }),
      ),
      ...row(
        given,
        'Sizes',
        'swatches',
        lengths
          .filter(({ id }) => id.startsWith('icon.size'))
          .map((token) =>
            named(
              specimen('icon-size', [['square', token]]),
              caption(given, token.path.at(-1) ?? '', valueIn(token, mode)),
            ),
          ),
      ),
      ...row(
        given,
        'Stroke, room and place',
        'swatches',
        lengths.flatMap((token) => {
          const manner = MANNER_OF.get(token.id);
          return manner === undefined
            ? []
            : [
                named(
                  specimen(manner === 'thick' ? 'rule' : 'length', [[manner, token]]),
                  caption(given, token.path.at(-1) ?? '', valueIn(token, mode)),
                ),
              ];
        }),
      ),
    ];
  },
};
