import { inOrder, type Collection, type StyleDocument } from '../system/document.ts';
import { plainName, UNNAMED } from '../tokens/token.ts';
import { checkOf, type Area, type Finding } from './finding.ts';

interface Named {
  readonly name: string;
}

/** The parts of a document whose names become names of tokens. */
const NAMING = ['color', 'layout', 'space', 'type'] as const;

/** The collections whose names become names of tokens, and what one of them is. */
const COLLECTIONS: readonly {
  readonly path: string;
  readonly what: string;
  readonly area: Area;
  readonly of: (document: Pick<StyleDocument, (typeof NAMING)[number]>) => Collection<Named>;
}[] = [
  { path: '/type/roles', what: 'text role', area: 'type', of: ({ type }) => type.roles },
  { path: '/color/sources', what: 'color', area: 'color', of: ({ color }) => color.sources },
  { path: '/color/roles', what: 'color role', area: 'color', of: ({ color }) => color.roles },
  { path: '/color/gradients', what: 'gradient', area: 'color', of: ({ color }) => color.gradients },
  { path: '/space/steps', what: 'step', area: 'space', of: ({ space }) => space.steps },
  { path: '/space/roles', what: 'space role', area: 'space', of: ({ space }) => space.roles },
  { path: '/layout/widths', what: 'width', area: 'space', of: ({ layout }) => layout.widths },
];

/** Names are told from each other in tokens too, where only letters and digits are left of them. */
export const namesCheck = checkOf(NAMING, [], (document) =>
  COLLECTIONS.flatMap(({ path, what, area, of }) => {
    const first = new Map<string, string>();
    return inOrder(of(document)).flatMap(([id, { name }]): Finding[] => {
      const plain = plainName(name);
      const before = first.get(plain);
      if (before === undefined) first.set(plain, name);
      const said = (title: string, figures: string, reason: string): Finding => ({
        id: `name:${path}/${id}`,
        severity: 'look',
        area,
        decision: `${path}/items/${id}`,
        title,
        figures,
        reason,
        source: 'Design Tokens Format Module 2025.10, names; CSS Syntax 3, identifiers',
        where: { selector: ':root' },
      });
      if (plain === UNNAMED)
        return [
          said(
            `The ${what} “${name}” has no letter or digit in its name`,
            `its token is called ${UNNAMED}`,
            'Nobody who reads the style sheet can tell what it is.',
          ),
        ];
      if (before === undefined) return [];
      return [
        said(
          `Two of the ${what}s are called “${name}”`,
          before === name
            ? `its token gets a number: ${plain}-2`
            : `“${before}” and “${name}” both become ${plain}; the second gets a number`,
          'A number tells nobody which of the two is meant, and it moves when one is removed.',
        ),
      ];
    });
  }),
);
