import { contrastRatio } from '../../color/contrast.ts';
import type { Hex } from '../../color/srgb.ts';
import type { Treated } from '../../image/treat.ts';
import { inOrder, type Layout, type Mode } from '../../system/document.ts';
import {
  PICTURE_ROLES,
  pictureRole,
  type PictureRole,
  type Treatment,
} from '../../system/picture-roles.ts';
import { everyMode, propertyOfPath, type MadeToken, type TokenValue } from '../../tokens/token.ts';
import { slugsOf } from '../../tokens/slugs-of.ts';
import type { DerivedColorRole, Rule } from '../derived.ts';
import { colorJson } from './color-json.ts';

type Colors = ReadonlyMap<string, Pick<DerivedColorRole, 'slug' | 'colors'>>;
type Decided = Pick<Layout, 'pictureRoles' | 'pictures'>;

interface Tone {
  readonly color: Hex;
  /** The slug of the color role that it is; none for white and black. */
  readonly role?: string;
}

const WHITE: Tone = { color: '#ffffff' };
const BLACK: Tone = { color: '#000000' };

/**
 * The two ends of a toned picture in a theme: its two roles, the lighter first, or its one role and white where that is
 * dark, black where it is light.
 */
function tonesIn(
  { color, second }: Extract<Treatment, { readonly kind: 'toned' }>,
  colors: Colors,
  mode: Mode,
): { readonly light: Tone; readonly dark: Tone } {
  const toneOf = (id: string): Tone => {
    const role = colors.get(id);
    return role ? { color: role.colors[mode], role: role.slug } : BLACK;
  };
  const onWhite = (tone: Tone): number => contrastRatio(tone.color, WHITE.color);
  const one = toneOf(color);
  const other =
    second === undefined
      ? onWhite(one) > contrastRatio(one.color, BLACK.color)
        ? WHITE
        : BLACK
      : toneOf(second);
  return onWhite(one) > onWhite(other) ? { light: other, dark: one } : { light: one, dark: other };
}

/** What is done to the pictures of a role in a theme, in its colors; nothing where they are as they are. */
export function treatedIn(
  decided: Pick<Layout, 'pictureRoles'>,
  role: PictureRole,
  colors: Colors,
  mode: Mode,
): Treated | undefined {
  const treatment = pictureRole(decided, role)?.treatment;
  if (!treatment) return undefined;
  if (treatment.kind === 'faint')
    return {
      kind: 'faint',
      opacity: treatment.opacity,
      ground: colors.get('page')?.colors[mode] ?? '#ffffff',
    };
  const { light, dark } = tonesIn(treatment, colors, mode);
  return { kind: 'toned', light: light.color, dark: dark.color };
}

const pathOf = (role: PictureRole, part: string): readonly [string, ...string[]] => [
  'treatment',
  role,
  part,
];

/** The opacity of faint pictures and the two ends of toned ones, role by role. */
export const deriveTreatmentTokens = (
  decided: Layout['pictureRoles'],
  colors: Colors,
): readonly MadeToken[] =>
  PICTURE_ROLES.flatMap(({ id: role, name }): MadeToken[] => {
    const treatment = pictureRole({ pictureRoles: decided }, role)?.treatment;
    if (!treatment) return [];
    const made = (part: string, more: Pick<MadeToken, 'type' | 'values'>): MadeToken => ({
      id: `treatment.${role}.${part}`,
      path: pathOf(role, part),
      tier: 'semantic',
      ...more,
      trail: () => ({
        decisions: [
          {
            path: `/layout/pictureRoles/${role}/treatment`,
            label: `pictures of the role ${name}`,
            value: treatment.kind,
          },
        ],
        steps: [
          treatment.kind === 'faint'
            ? 'laid over the ground'
            : 'gray times the light end, never darker than the dark end',
        ],
      }),
    });
    if (treatment.kind === 'faint') {
      const { opacity } = treatment;
      return [
        made('opacity', {
          type: 'number',
          values: everyMode({ json: opacity, css: String(opacity) }),
        }),
      ];
    }
    const valueOf = (end: 'light' | 'dark', mode: Mode): TokenValue => {
      const { color, role: slug } = tonesIn(treatment, colors, mode)[end];
      return {
        ...(slug !== undefined && { reference: `color.${slug}` }),
        json: colorJson(color),
        css: color,
      };
    };
    return (['light', 'dark'] as const).map((end) =>
      made(end, {
        type: 'color',
        values: { light: valueOf(end, 'light'), dark: valueOf(end, 'dark') },
      }),
    );
  });

const variable = (role: PictureRole, part: string): string =>
  `var(${propertyOfPath(pathOf(role, part))})`;

/** What a toned picture is made of: itself in gray, multiplied with the light end, and the dark end over it. */
const TONED: readonly Rule[] = [
  {
    selector: '.toned',
    declarations: [
      ['display', 'grid'],
      ['grid-template', 'minmax(0, 1fr) / minmax(0, 1fr)'],
      ['isolation', 'isolate'],
      ['overflow', 'clip'],
    ],
  },
  {
    selector: '.toned > img',
    declarations: [
      ['grid-area', '1 / 1'],
      ['min-block-size', '0'],
      ['inline-size', '100%'],
      ['block-size', '100%'],
      ['object-fit', 'inherit'],
      ['object-position', 'inherit'],
      ['filter', 'grayscale(1)'],
      ['mix-blend-mode', 'multiply'],
    ],
  },
  {
    selector: '.toned::after',
    declarations: [
      ['content', '""'],
      ['grid-area', '1 / 1'],
      ['mix-blend-mode', 'lighten'],
    ],
  },
];

/** What is done to the pictures of each role, and the shape of portraits. */
export function deriveTreatmentRules(
  pictureRoles: Layout['pictureRoles'],
  shapes: Layout['pictures'],
  roles: ReadonlyMap<string, Pick<DerivedColorRole, 'slug'>>,
): Rule[] {
  const page = roles.get('page')?.slug ?? 'page';
  const all = PICTURE_ROLES.map(
    ({ id, className, isUnderWords }) =>
      ({ id, className, isUnderWords, own: pictureRole({ pictureRoles }, id) }) as const,
  );
  const slugOf = slugsOf(shapes);
  const toned = all.filter(({ own }) => own?.treatment?.kind === 'toned');
  const portrait = pictureRoles?.portrait?.shape;
  const shape = portrait === undefined ? undefined : slugOf.get(portrait);
  return [
    ...all.flatMap(({ id, className, isUnderWords, own }): Rule[] =>
      own?.treatment?.kind === 'faint'
        ? [
            { selector: `.${className}`, declarations: [['opacity', variable(id, 'opacity')]] },
            // Under words it lies on the page, whatever the section stands on.
            ...(isUnderWords
              ? [
                  {
                    selector:
                      id === 'background' ? '.picture-band' : '.over-picture:not(.picture-band)',
                    declarations: [['background-color', `var(${propertyOfPath(['color', page])})`]],
                  } as const,
                ]
              : []),
          ]
        : [],
    ),
    ...(toned.length > 0 ? TONED : []),
    ...toned.flatMap(({ id }): Rule[] => [
      { selector: `.toned-${id}`, declarations: [['background-color', variable(id, 'light')]] },
      {
        selector: `.toned-${id}::after`,
        declarations: [['background-color', variable(id, 'dark')]],
      },
    ]),
    ...(shape === undefined
      ? []
      : [
          {
            selector: '.voice-picture',
            declarations: [
              ['block-size', 'auto'],
              ['aspect-ratio', `var(${propertyOfPath(['picture', shape])})`],
              ['border-radius', '0'],
            ],
          } as const,
        ]),
  ];
}

/** How the pictures of a role stand on a page: whether they are toned, and the slug of the shape of each in a row. */
export function placedPictures(
  { pictureRoles, pictures }: Decided,
  role: PictureRole,
): { readonly isToned: boolean; readonly shapeAt: (at: number) => string | undefined } {
  const own = pictureRole({ pictureRoles }, role);
  const slugOf = slugsOf(pictures);
  const decided = own && 'shape' in own ? slugOf.get(own.shape ?? '') : undefined;
  const usual = inOrder(pictures).map(([id]) => slugOf.get(id) ?? id);
  return {
    isToned: own?.treatment?.kind === 'toned',
    shapeAt: (at) => decided ?? usual[at % Math.max(1, usual.length)],
  };
}
