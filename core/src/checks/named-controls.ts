import { namelessOfSection } from '../proof/named-controls.ts';
import { shownOf } from '../proof/texts.ts';
import { pieceWith } from '../proof/sections/pieces.ts';
import type { PageSection } from '../system/document.ts';
import { checkOf, type Finding, type Repair } from './finding.ts';

const CALLED: Readonly<Record<string, string>> = {
  a: 'link',
  button: 'button',
  summary: 'control that opens',
};

/** The words that a component in a row began with, where somebody has emptied them. */
function wordsAgain(own: PageSection, at: string | undefined, path: string): Repair | undefined {
  const [, id = '', key = ''] = /^\/pieces\/items\/([^/]+)\/words\/([^/]+)$/.exec(at ?? '') ?? [];
  if (own.kind !== 'pieces' || !Object.hasOwn(own.pieces.items, id)) return undefined;
  const words: Readonly<Record<string, string>> = pieceWith(
    own.pieces.items[id]?.piece ?? '',
  ).words;
  const began = Object.hasOwn(words, key) ? words[key] : undefined;
  if (began === undefined) return undefined;
  return {
    label: `Call it “${began}” again`,
    patch: [{ op: 'replace', path: `${path}${at ?? ''}`, value: began }],
    before: 'nothing',
    after: began,
  };
}

/** Whatever can be pressed or filled in is called something; of a sign alone nobody hears what it does. */
export const namedControlsCheck = checkOf(['content'], [], ({ content }): readonly Finding[] => {
  const seen = new Set<string>();
  return shownOf(content).flatMap(({ own, page, path }) =>
    namelessOfSection(own).flatMap(({ at, tag }): Finding[] => {
      const decision = `${path}${at ?? ''}`;
      if (seen.has(decision)) return [];
      seen.add(decision);
      const repair = wordsAgain(own, at, path);
      const what = CALLED[tag] ?? 'field';
      return [
        {
          id: `nameless:${decision}`,
          severity: 'repair',
          area: 'brief',
          decision,
          title: `A ${what} on ${content.pages.items[page]?.name ?? page} is called nothing`,
          figures: `${own.kind === 'pieces' ? 'in a row of components' : `in a section of the kind ${own.kind}`}; its words are empty`,
          reason: 'Who does not see it hears “button” or “link”, and not what it does.',
          source: 'WCAG 2.2, 4.1.2 and 2.4.4; Accessible Name and Description Computation 1.2',
          where: {
            selector:
              at === undefined ? `[data-section="${path}"]` : `[data-content="${decision}"]`,
            page,
          },
          ...(repair && { repair }),
        },
      ];
    }),
  );
});
