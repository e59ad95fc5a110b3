import { contrastRatio } from '../color/contrast.ts';
import { besideLabels, sizePx } from '../derive/icons/beside.ts';
import { fitBeside, STROKE_BESIDE_STEM, typicalOf, unlikeness } from '../icons/alike.ts';
import { usualStroke } from '../icons/usual.ts';
import { kindOf } from '../proof/sections/kinds.ts';
import { allSections } from '../proof/texts.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import type { Icons } from '../system/icon-schema.ts';
import { iconsOnPages, ownSign } from '../system/icons.ts';
import { modesOf } from '../system/themes.ts';
import { ROOT_PX } from '../type/fluid.ts';
import { checkOf, type Finding, type Repair } from './finding.ts';

/** Farther apart than this nobody takes two icons for one set; see `unlikeness`. */
const ANOTHER_HAND = 1;
/** What is thinner, or nearer together, runs together on usual screens. In px, common practice. */
const LEAST_PX = 1;
/** Of icons beside each other the fullest has at most so many times the ink of the emptiest; common practice. */
const MOST_UNEVEN = 2.5;
/** Source: WCAG 2.2, 1.4.11. */
const LEAST_CONTRAST = 3;
const GROUNDS = ['page', 'surface', 'raised'] as const;

const px = (value: number): string => `${Number(value.toFixed(2))} px`;
const at = (id: string): string => `/icons/named/items/${id}`;
const ofIcon = (id: string) => ({ area: 'components' as const, decision: at(id) });

/** How large an icon is beside text, in px. */
const shownPx = (
  { size, sizes }: Icons,
  asked: string | undefined,
  textPx: number,
  steps: ReadonlyMap<string, { readonly px: number }>,
): number => {
  const own = asked === undefined ? undefined : sizes.items[asked];
  return own ? sizePx(own, textPx, steps) : size * textPx;
};

/** An icon that another hand has drawn than the others. */
export const mixedIconsCheck = checkOf(['icons'], ['icons'], (_document, { icons }) => {
  const all = [...icons.values()].filter(({ decided }) => decided !== undefined);
  const typical = typicalOf(all.map(({ measures }) => measures));
  if (!typical || all.length < 3) return [];
  return all.flatMap(({ id, slug, name, drawing, measures }): Finding[] => {
    // What is stroked takes the one stroke of all.
    const isStroked = usualStroke(drawing) !== undefined && measures.kind !== 'filled';
    const drawn = isStroked ? { ...measures, stroke: typical.stroke } : measures;
    const far = unlikeness(drawn, typical);
    if (far < ANOTHER_HAND) return [];
    return [
      {
        id: `icon-kind:${id}`,
        severity: 'look',
        ...ofIcon(id),
        title: `The icon ${name} is ${measures.kind}, most others are ${typical.kind}`,
        figures: `${Math.round(measures.ink * 100)} % inked beside ${Math.round(typical.ink * 100)} %, stroke ${(measures.stroke * 24).toFixed(2)} beside ${(typical.stroke * 24).toFixed(2)} on 24; unlikeness ${far.toFixed(2)} of ${ANOTHER_HAND}`,
        reason: 'Icons of several kinds look as if one of them were chosen, or wrong.',
        source: 'common practice; measured from the paths',
        where: { selector: `.icon-${slug}` },
      },
    ];
  });
});

/** Strokes that are far from the stems of the words beside them, or too thin for a pixel. */
export const iconStrokeCheck = checkOf(
  ['icons', 'content'],
  ['icons', 'styles', 'steps'],
  ({ icons: decided, content }, { icons, styles, steps }) => {
    const beside = besideLabels({ styles }, decided.size);
    const isUsed = decided.named.order.length > 0 || iconsOnPages(content).length > 0;
    if (!beside || !isUsed) return [];
    const stroked = [...icons.values()].filter(({ drawing }) => usualStroke(drawing) !== undefined);
    const share = decided.stroke / beside.stemPx;
    const fitting = Math.max(LEAST_PX, Math.round(beside.stemPx * 4) / 4);
    const repair: Repair = {
      label: `Draw strokes of ${px(fitting)}`,
      patch: [{ op: 'replace', path: '/icons/stroke', value: fitting }],
      before: px(decided.stroke),
      after: px(fitting),
    };
    const isThin = decided.stroke < LEAST_PX;
    const isFar = share < STROKE_BESIDE_STEM.from || share > STROKE_BESIDE_STEM.to;
    const found: Finding[] =
      stroked.length > 0 && (isThin || isFar)
        ? [
            {
              id: 'icon-stroke',
              severity: 'look',
              area: 'components',
              decision: '/icons/stroke',
              title: isThin
                ? 'Strokes of icons are thinner than a pixel'
                : `Strokes of icons are ${share < 1 ? 'thinner' : 'thicker'} than the words beside them`,
              figures: `${px(decided.stroke)} beside stems of ${px(beside.stemPx)} (${beside.face} ${beside.weight} at ${px(beside.textPx)}): ${share.toFixed(2)} times; ${STROKE_BESIDE_STEM.from} to ${STROKE_BESIDE_STEM.to} look meant`,
              reason: 'An icon beside words is read with them, and should be as dark.',
              source: 'common practice; stems measured from the font files',
              where: { selector: '.icon' },
              ...(fitting !== decided.stroke && { repair }),
            },
          ]
        : [];
    for (const { id, slug, name, drawing, measures, decided: own } of icons.values()) {
      if (usualStroke(drawing) !== undefined || measures.kind === 'filled') continue;
      const size = shownPx(decided, own?.size, beside.textPx, steps);
      const { strokePx } = fitBeside(measures, { stemPx: beside.stemPx, iconPx: size });
      if (strokePx < LEAST_PX)
        found.push({
          id: `icon-thin:${id}`,
          severity: 'look',
          ...ofIcon(id),
          title: `The icon ${name} is drawn thinner than a pixel`,
          figures: `${px(strokePx)} at ${px(size)}`,
          reason: 'Such a line is seen paler than it is, or not at all.',
          source: 'common practice; measured from the paths',
          where: { selector: `.icon-${slug}` },
        });
    }
    return found;
  },
);

/** Details that run together at the smallest size at which an icon is shown. */
export const iconDetailsCheck = checkOf(
  ['icons', 'content'],
  ['icons', 'styles', 'steps'],
  ({ icons: decided, content }, { icons, styles, steps }) => {
    const textPx = (role: string): number => (styles.get(role)?.size.minRem ?? 1) * ROOT_PX;
    /** The smallest text that each icon stands beside. */
    const smallest = new Map<string, number>();
    const beside = (id: string, role: string): void => {
      smallest.set(id, Math.min(smallest.get(id) ?? Infinity, textPx(role)));
    };
    for (const { ids, role } of collectionsWithIcons(content))
      for (const id of ids) beside(id, role);
    for (const { id, of } of icons.values()) if (of !== undefined) beside(id, 'label');
    return [...icons.values()].flatMap(
      ({
        id,
        slug,
        name,
        drawing,
        measures: { gap, stroke, details },
        decided: own,
      }): Finding[] => {
        const text = smallest.get(id);
        if (!own || gap === undefined || text === undefined) return [];
        const isStroked = usualStroke(drawing) !== undefined;
        // Where all strokes become thicker or thinner, the room between them changes with them.
        const roomAt = (size: number): number =>
          gap * size - (isStroked ? decided.stroke - stroke * size : 0);
        const size = shownPx(decided, own.size, text, steps);
        if (roomAt(size) >= LEAST_PX) return [];
        const larger = inOrder(decided.sizes)
          .map(([key, { name: called }]) => ({
            key,
            called,
            px: shownPx(decided, key, text, steps),
          }))
          .filter((one) => roomAt(one.px) >= LEAST_PX)
          .toSorted((one, other) => one.px - other.px)[0];
        return [
          {
            id: `icon-details:${id}`,
            severity: 'look',
            ...ofIcon(id),
            title: `The icon ${name} is too small for its details`,
            figures: `its narrowest room is ${px(Math.max(0, roomAt(size)))} at ${px(size)}, of ${details} ${details === 1 ? 'piece' : 'pieces'}; ${px(LEAST_PX)} is needed`,
            reason: 'What is nearer together than a pixel runs together.',
            source: 'common practice; measured from the paths',
            where: { selector: `.icon-${slug}` },
            ...(larger && {
              repair: {
                label: `Make it ${larger.called}`,
                patch: [{ op: 'add', path: `${at(id)}/size`, value: larger.key }],
                before: px(size),
                after: px(larger.px),
              },
            }),
          },
        ];
      },
    );
  },
);

/** An icon in a color of its own that cannot be told from what it may stand on. */
export const iconContrastCheck = checkOf(
  ['icons', 'color'],
  ['icons', 'colors', 'themes'],
  ({ color }, { icons, colors, themes }) =>
    [...icons.values()].flatMap(({ id, slug, name, decided }) => {
      const role = decided?.color === undefined ? undefined : colors.get(decided.color);
      if (!role || decided?.color === undefined) return [];
      return modesOf(themes).flatMap((mode): Finding[] => {
        const bad = GROUNDS.flatMap((ground) => {
          const on = colors.get(ground);
          const ratio = on && contrastRatio(role.colors[mode], on.colors[mode]);
          return on && ratio !== undefined && ratio < LEAST_CONTRAST
            ? [`${ratio.toFixed(2)} on ${on.name}`]
            : [];
        });
        if (bad.length === 0) return [];
        return [
          {
            id: `icon-contrast:${id}:${mode}`,
            severity: 'repair',
            ...ofIcon(id),
            title: `The icon ${name} cannot be told from its ground in ${mode}`,
            figures: `${bad.join(', ')}; ${LEAST_CONTRAST} is needed`,
            reason: 'A sign that says something has to be seen by people who see little contrast.',
            source: 'WCAG 2.2, 1.4.11 Non-text Contrast (AA)',
            where: { selector: `.icon-${slug}`, mode },
            repair: {
              label: 'Take the color of its words',
              patch: [{ op: 'remove', path: `${at(id)}/color` }],
              before: color.roles.items[decided.color ?? '']?.name ?? '',
              after: 'of its words',
            },
          },
        ];
      });
    }),
);

/** Icons beside each other of which one is much darker. */
export const iconWeightCheck = checkOf(['content'], ['icons'], ({ content }, { icons }) =>
  collectionsWithIcons(content).flatMap(({ path, ids }): Finding[] => {
    const own = [...new Set(ids)].flatMap((id) => icons.get(id) ?? []);
    const sorted = own.toSorted((one, other) => one.measures.ink - other.measures.ink);
    const [least, most] = [sorted[0], sorted.at(-1)];
    if (!least || !most || most.measures.ink <= least.measures.ink * MOST_UNEVEN) return [];
    return [
      {
        id: `icon-weight:${path}`,
        severity: 'look',
        area: 'brief',
        decision: path,
        title: `The icon ${most.name} is much darker than ${least.name} beside it`,
        figures: `${Math.round(most.measures.ink * 100)} % of its box is inked, of the other ${Math.round(least.measures.ink * 100)} %; up to ${MOST_UNEVEN} times look even`,
        reason: 'The darkest of a row is taken for the one that is chosen.',
        source: 'common practice; measured from the paths',
        where: { selector: `.icon-${most.slug}` },
      },
    ];
  }),
);

interface Signed {
  readonly path: string;
  /** The text role that icons are as large as there. */
  readonly role: string;
  readonly ids: readonly string[];
  readonly things: readonly (readonly [thing: string, icon: string])[];
}

/** The collections of sections whose things have icons beside them. */
const collectionsWithIcons = (content: StyleDocument['content']): readonly Signed[] =>
  allSections(content).flatMap(({ path, own }) => {
    const { signed } = kindOf(own.kind);
    const part: unknown = signed && (own as Readonly<Record<string, unknown>>)[signed.of];
    if (!signed || typeof part !== 'object' || part === null || !('items' in part)) return [];
    const things = Object.entries(part.items as object).flatMap(
      ([id, thing]: readonly [string, { readonly icon?: string }]) =>
        thing.icon === undefined ? [] : [[id, thing.icon] as const],
    );
    const ids = things.map(([, icon]) => icon);
    return things.length === 0
      ? []
      : [{ path: `${path}/${signed.of}`, role: signed.role, things, ids }];
  });

/** What refers to an icon, a size or a color that is gone by now. */
export const lostIconsCheck = checkOf(
  ['icons', 'content', 'color'],
  [],
  ({ icons, content, color }) => {
    const lost = (
      path: string,
      area: Finding['area'],
      title: string,
      selector: string,
      before: string,
    ): Finding => ({
      id: `lost-icon:${path}`,
      severity: 'look',
      area,
      decision: path,
      title,
      figures: `“${before}” is not there.`,
      reason: 'Who reads the page expects what is no longer shown.',
      source: 'common practice',
      where: { selector },
      repair: {
        label: 'Let it go',
        patch: [{ op: 'remove', path }],
        before,
        after: 'as all others',
      },
    });
    return [
      ...collectionsWithIcons(content).flatMap(({ path, things }) =>
        things
          .filter(([, icon]) => !Object.hasOwn(icons.named.items, icon) && !ownSign(icon))
          .map(([thing, icon]) =>
            lost(
              `${path}/items/${thing}/icon`,
              'brief',
              'An icon stands on a page that is not there',
              '.icon',
              icon,
            ),
          ),
      ),
      ...inOrder(icons.named).flatMap(([id, { name, size, color: role }]) => [
        ...(size !== undefined && !Object.hasOwn(icons.sizes.items, size)
          ? [
              lost(
                `${at(id)}/size`,
                'components',
                `The icon ${name} has a size that is not there`,
                '.icon',
                size,
              ),
            ]
          : []),
        ...(role !== undefined && !Object.hasOwn(color.roles.items, role)
          ? [
              lost(
                `${at(id)}/color`,
                'components',
                `The icon ${name} has a color that is not there`,
                '.icon',
                role,
              ),
            ]
          : []),
      ]),
      ...(icons.second !== undefined && !Object.hasOwn(color.roles.items, icons.second)
        ? [
            lost(
              '/icons/second',
              'components',
              'The second tone of icons has a color that is not there',
              '.icon',
              icons.second,
            ),
          ]
        : []),
    ];
  },
);
