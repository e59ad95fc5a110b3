import { inOrder } from '../../system/document.ts';
import { fluidPx } from '../../type/fluid.ts';
import { firstText } from '../texts.ts';
import {
  caption,
  named,
  part,
  pxOver,
  row,
  specimen,
  told,
  tokensUnder,
  valueIn,
  type Chapter,
  type Given,
} from './chapter.ts';

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ abcdefghijklmnopqrstuvwxyz';
const FIGURES = '0123456789 & ? ! % ( ) “ ” – @';

/** The faces, large, with what a face is made of. */
export const faces: Chapter = {
  id: 'faces',
  name: 'Faces',
  reads: ['type'],
  nodes: (given) => [
    part(
      'faces',
      ...tokensUnder(given, 'face').map((token) =>
        named(
          specimen(
            'face',
            [['face', token]],
            part('face-large', 'Aa'),
            part('face-letters', LETTERS),
            part('face-letters', FIGURES),
          ),
          caption(given, token.id, valueIn(token, given.mode).split(',')[0]?.replaceAll('"', '')),
        ),
      ),
    ),
  ],
};

/** The most of a text that stands on the sheet, in characters. */
const LONGEST = 110;

/** What a text says on the site, as much of it as shows its setting. */
function wordsIn({ document }: Given, role: string): string {
  const words = firstText(document.content, role)?.words.trim() || document.name;
  if (words.length <= LONGEST) return words;
  const cut = words.slice(0, LONGEST);
  return `${cut.slice(0, cut.lastIndexOf(' ') > 0 ? cut.lastIndexOf(' ') : LONGEST)} …`;
}

/** The scale as letters on one line, and every text role in words of the site. */
export const texts: Chapter = {
  id: 'texts',
  name: 'Texts',
  reads: ['type'],
  nodes: (given) => [
    ...row(
      given,
      'Scale',
      'scale',
      tokensUnder(given, 'scale').map((token) =>
        named(
          specimen('letter', [['size', token]], 'a'),
          caption(given, token.path.at(-1) ?? token.id),
        ),
      ),
    ),
    part(
      'texts',
      ...inOrder(given.document.type.roles).flatMap(([id]) => {
        const style = given.derived.styles.get(id);
        if (!style) return [];
        return [
          part(
            'text',
            caption(
              given,
              style.name,
              `${pxOver(({ widthPx }) => fluidPx(style.size, widthPx), given)} / ${told(style.lineHeight)}, ${style.weight}`,
            ),
            given.build.text('p', id, [wordsIn(given, id)]),
          ),
        ];
      }),
    ),
  ],
};
