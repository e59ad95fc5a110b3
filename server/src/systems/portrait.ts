import { modesOf } from '@garnish/core/system/themes';
import { findingsOf } from '@garnish/core/checks/checks';
import { causeIdOf, type ToldFinding } from '@garnish/core/checks/finding';
import { derive } from '@garnish/core/derive/derive';
import { isFirst } from '@garnish/core/fonts/family';
import type { StyleDocument } from '@garnish/core/system/document';
import { fluidPx } from '@garnish/core/type/fluid';
import type { SystemSummary } from './schemas.ts';

/** The width at which the sizes of the small picture are taken. */
const WIDTH_PX = 1280;

/** A small picture of a system in figures: its faces, colors and sizes, and what waits in it. */
export function portraitOf(
  document: StyleDocument,
  measured: readonly ToldFinding[] | undefined,
): Pick<SystemSummary, 'portrait' | 'findings'> {
  const derived = derive(document);
  const [mode] = modesOf(derived.themes);
  const all: readonly ToldFinding[] = [
    ...findingsOf(document, derived).map((finding) => ({ ...finding, of: causeIdOf(finding) })),
    ...(measured ?? []),
  ];
  // What has one cause is one thing to do; the most serious of its places says how serious.
  const causes = new Map<string, 'repair' | 'look'>();
  for (const { id, of = id, severity } of all)
    if (
      !Object.hasOwn(document.accepted, id) &&
      !Object.hasOwn(document.accepted, of) &&
      causes.get(of) !== 'repair'
    )
      causes.set(of, severity);
  const count = (wanted: 'repair' | 'look'): number =>
    [...causes.values()].filter((severity) => severity === wanted).length;
  const face = (role: 'heading' | 'text') => {
    const style = [...derived.styles.values()].find((one) => one.face === role);
    const { family, weight } = document.fonts.roles[role];
    return { family: family.name, weight: style?.weight ?? weight };
  };
  const sizes = [...derived.styles.values()].map(({ size }) => Math.round(fluidPx(size, WIDTH_PX)));
  return {
    portrait: {
      heading: face('heading'),
      text: face('text'),
      files: derived.faces.flatMap(({ family: { name: family }, files }) =>
        files
          .filter((file) => isFirst(file) && file.style === 'normal')
          .map(({ name, weight }) => ({ family, name, ...weight })),
      ),
      colors: [...derived.ramps.values()].flatMap(({ colors }) =>
        [2, 6, 9, 12].flatMap((index) => colors[index] ?? []),
      ),
      page: derived.colors.get('page')?.colors[mode] ?? '#ffffff',
      ink: derived.colors.get('text')?.colors[mode] ?? '#000000',
      sizes: [...new Set(sizes)].sort((one, other) => one - other),
    },
    findings: {
      repair: count('repair'),
      look: count('look'),
      isMeasured: measured !== undefined,
    },
  };
}
