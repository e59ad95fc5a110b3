import { contrastRatio } from '../color/contrast.ts';
import { isHex, type Hex } from '../color/srgb.ts';
import { inOneColor } from '../formats/artwork-fills.ts';
import { modesOf } from '../system/themes.ts';
import { ROOT_PX } from '../type/fluid.ts';
import { checkOf, type Finding } from './finding.ts';

/** Logotypes have no contrast to keep (WCAG 2.2, 1.4.3 and 1.4.11); below this one is hardly seen. Common practice. */
const LEAST_SEEN = 2;
/** A header bears a logo up to so many times the height of what one presses in it; common practice. */
const MOST_TARGETS = 2;
const TARGET_PX = 44;

/** The colors that a logo is painted with: where it came in, each was written as #rrggbb. */
const fillsOf = (svg: string): readonly Hex[] => [
  ...new Set(
    [...svg.matchAll(/(?:fill|stroke|stop-color)="([^"]*)"/g)].flatMap(([, value = '']) =>
      isHex(value) ? [value] : [],
    ),
  ),
];

/** A logo that cannot be told from its ground in a theme, or is much larger than its header bears. */
export const logoCheck = checkOf(
  ['layout'],
  ['colors', 'styles', 'themes'],
  ({ layout: { logo } }, { colors, styles, themes }) => {
    const found: Finding[] = [];
    const page = colors.get('page');
    const text = colors.get('text');
    for (const mode of modesOf(themes)) {
      const svg = mode === 'dark' ? (logo.dark ?? logo.light) : logo.light;
      const ground = page?.colors[mode];
      if (svg === undefined || ground === undefined) continue;
      const fills = fillsOf(svg);
      const ratios = fills.map((fill) => contrastRatio(fill, ground));
      const best = Math.max(...ratios);
      if (fills.length === 0 || best >= LEAST_SEEN) continue;
      const own = mode === 'dark' ? 'dark' : 'light';
      const one = text?.colors[mode];
      found.push({
        id: `logo-ground:${mode}`,
        severity: 'look',
        area: 'space',
        decision: `/layout/logo/${own}`,
        title: `The logo cannot be told from its ground in ${mode}`,
        figures: `its strongest color has ${best.toFixed(2)} on ${ground}; ${LEAST_SEEN} is hardly seen`,
        reason: 'Who does not see the logo does not know where they are.',
        source: 'common practice; logotypes are exempt from WCAG 2.2, 1.4.3 and 1.4.11',
        where: { selector: '.logo', mode },
        ...(one !== undefined && {
          repair: {
            label: `Draw it in one color, ${one}, on ${mode} grounds`,
            patch: [
              { op: 'add', path: `/layout/logo/${own}`, value: inOneColor(svg, one) },
              // On dark grounds it stays what it was.
              ...(own === 'light' && logo.dark === undefined
                ? [{ op: 'add' as const, path: '/layout/logo/dark', value: svg }]
                : []),
            ],
            before: fills.join(', '),
            after: one,
            swatches: [fills[0] ?? ground, one] as const,
          },
        }),
      });
    }
    const label = styles.get('label') ?? styles.get('body');
    if (logo.light !== undefined && label) {
      const textPx = label.size.maxRem * ROOT_PX;
      const highPx = Math.max(logo.least, logo.scale * textPx);
      const most = MOST_TARGETS * TARGET_PX;
      const scale = Math.floor((most / textPx) * 10) / 10;
      if (highPx > most)
        found.push({
          id: 'logo-large',
          severity: 'look',
          area: 'space',
          decision: logo.least > most ? '/layout/logo/least' : '/layout/logo/scale',
          title: 'The logo is much larger than its header bears',
          figures: `${Math.round(highPx)} px high beside targets of ${TARGET_PX} px; up to ${most} px look meant`,
          reason: 'What comes after the header begins that much later on every page.',
          source: 'common practice',
          where: { selector: '.logo' },
          repair:
            logo.least > most
              ? {
                  label: `Let it be ${most} px at least`,
                  patch: [{ op: 'replace', path: '/layout/logo/least', value: most }],
                  before: `${logo.least} px`,
                  after: `${most} px`,
                }
              : {
                  label: `Make it ${scale} times its text`,
                  patch: [{ op: 'replace', path: '/layout/logo/scale', value: scale }],
                  before: `${logo.scale} ×`,
                  after: `${scale} ×`,
                },
        });
    }
    return found;
  },
);
