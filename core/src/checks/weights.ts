import type { TextStyle } from '../derive/derived.ts';
import { hasItalic, weightsOf, type FontFamily } from '../fonts/family.ts';
import type { StyleDocument } from '../system/document.ts';
import type { Check, Finding } from './finding.ts';

const listed = (family: FontFamily): string => {
  const weights = weightsOf(family);
  const [first, last] = [weights[0], weights.at(-1)];
  if (first === undefined || last === undefined) return 'no usual weight';
  return weights.length > 2 && last - first === (weights.length - 1) * 100
    ? `${first} to ${last}`
    : weights.join(', ');
};

/** The decision that asks for a style's weight: the role's own, or the face's. */
const askedAt = (document: StyleDocument, { id, face }: TextStyle): string =>
  document.type.roles.items[id]?.weight === undefined
    ? `/fonts/roles/${face}/weight`
    : `/type/roles/items/${id}/weight`;

function missingWeight(path: string, styles: readonly [TextStyle, ...TextStyle[]]): Finding {
  const [first] = styles;
  const { family, slug, weight, weightWanted } = first;
  const names = styles.map(({ name }) => name).join(', ');
  return {
    id: `weight:${styles.length > 1 || path.startsWith('/fonts') ? first.face : first.id}`,
    severity: 'repair',
    area: path.startsWith('/fonts') ? 'fonts' : 'type',
    decision: path,
    title: `${family.name} has no weight ${weightWanted} for ${names}`,
    figures: `The files hold ${listed(family)}; ${weight} is shown.`,
    reason:
      'A browser would fake the missing weight by smearing the letters. Garnish never lets it.',
    source: 'CSS Fonts 4, font-synthesis; the font files',
    where: { selector: `.type-${slug}` },
    repair: {
      label: `Take ${weight}`,
      patch: [{ op: 'replace', path, value: weight }],
      before: String(weightWanted),
      after: String(weight),
    },
  };
}

/** Every weight that a text role asks for is in the files, and emphasis has a true italic. */
export const weightsCheck: Check = (document, { styles }) => {
  const byDecision = new Map<string, [TextStyle, ...TextStyle[]]>();
  for (const style of styles.values()) {
    if (style.weight === style.weightWanted) continue;
    const path = askedAt(document, style);
    const known = byDecision.get(path);
    if (known) known.push(style);
    else byDecision.set(path, [style]);
  }
  const missing = [...byDecision].map(([path, own]) => missingWeight(path, own));
  const { family } = document.fonts.roles.text;
  if (hasItalic(family) || document.content.story.aside === '') return missing;
  return [
    ...missing,
    {
      id: 'italic:text',
      severity: 'look',
      area: 'fonts',
      decision: '/fonts/roles/text/family',
      title: `${family.name} has no true italic`,
      figures: 'Emphasis in the text is set upright.',
      reason: 'A slanted upright is not an italic, so none is faked; emphasis does not show.',
      source: 'CSS Fonts 4, font-synthesis; the font files',
      where: { selector: 'em' },
    },
  ];
};
