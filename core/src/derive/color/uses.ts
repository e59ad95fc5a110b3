import { inOrder, MODES, type Paint, type StyleDocument } from '../../system/document.ts';
import { NEUTRAL } from '../../system/validate.ts';
import { veilIn } from '../../system/veils.ts';
import type { Token } from '../../tokens/token.ts';
import type { Derived } from '../derived.ts';

/** Where a color is used, each by its name. */
export interface Uses {
  /** Token ids: those that hold the color and all that take their value from them. */
  readonly tokens: readonly string[];
  readonly roles: readonly string[];
  readonly components: readonly string[];
  readonly texts: readonly string[];
  readonly gradients: readonly string[];
  readonly pictures: readonly string[];
}

const standsOn = (paint: Paint, source: string): boolean =>
  (paint.kind === 'source' && paint.source === source) ||
  ((paint.kind === 'rung' || paint.kind === 'near') && paint.ramp === source);

/** The roles that stand on a source in a mode at least, or take a share of one that does. */
function rolesOn({ color }: Pick<StyleDocument, 'color'>, source: string): Set<string> {
  const found = new Set<string>();
  const all = inOrder(color.roles);
  for (const [id, role] of all)
    if (MODES.some((mode) => standsOn(role[mode], source))) found.add(id);
  for (const [id, role] of all)
    for (const mode of MODES) {
      const paint = role[mode];
      if (paint.kind === 'share' && (found.has(paint.of) || found.has(paint.over))) found.add(id);
    }
  return found;
}

/** The tokens that take their value, directly or through others, from those given. */
function following(tokens: readonly Token[], start: ReadonlySet<string>): Set<string> {
  const found = new Set(start);
  for (let before = -1; before !== found.size;) {
    before = found.size;
    for (const { id, values } of tokens)
      if (MODES.some((mode) => found.has(values[mode].reference ?? ''))) found.add(id);
  }
  return found;
}

/**
 * Everything that a source leads to: its ramp, the roles on it, what refers to them, components, texts,
 * gradients and pictures. `source` is the id of a source, or `neutral`; the source that tints the
 * neutrals leads to them as well.
 */
export function usesOf(
  document: Pick<StyleDocument, 'color'>,
  derived: Pick<Derived, 'ramps' | 'colors' | 'tokens' | 'needs'>,
  source: string,
): Uses {
  const { color } = document;
  const sources =
    color.neutral.source === source && color.neutral.tint > 0 ? [source, NEUTRAL] : [source];
  const roles = new Set(sources.flatMap((one) => [...rolesOn(document, one)]));
  const slugs = new Set(sources.map((one) => derived.ramps.get(one)?.slug));
  const start = new Set(
    derived.tokens
      .filter(
        ({ path }) =>
          (path[0] === 'palette' && slugs.has(path[1])) ||
          (path[0] === 'color' &&
            [...roles].some((role) => derived.colors.get(role)?.slug === path[1])),
      )
      .map(({ id }) => id),
  );
  const gradients = inOrder(color.gradients).filter(([, { stops }]) =>
    inOrder(stops).some(([, stop]) => roles.has(stop.color)),
  );
  const pictures = inOrder(color.veils).filter(([, veil]) =>
    MODES.some((mode) => {
      const { ink, color: own } = veilIn(veil, mode);
      return roles.has(ink) || roles.has(own);
    }),
  );
  const tokens = following(derived.tokens, start);
  return {
    tokens: [...tokens],
    roles: [...roles].map((id) => color.roles.items[id]?.name ?? id),
    components: [
      ...new Set(
        derived.tokens
          .filter(({ id, tier }) => tier === 'component' && tokens.has(id))
          .map(({ path }) => path[0] ?? ''),
      ),
    ],
    texts: derived.needs
      .filter(({ decided, color: own, on }) => decided && (roles.has(own.id) || roles.has(on.id)))
      .map(({ what, on }) => `${what} on ${on.name}`),
    gradients: gradients.map(([, { name }]) => name),
    pictures: pictures.map(([, { name }]) => name),
  };
}
