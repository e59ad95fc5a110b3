import { hasItalic, weightsOf, type FontFamily } from '../fonts/family.ts';
import type { Check, Finding } from './finding.ts';

const listed = (family: FontFamily): string => {
  const weights = weightsOf(family);
  const [first, last] = [weights[0], weights.at(-1)];
  if (first === undefined || last === undefined) return 'no usual weight';
  return weights.length > 2 && last - first === (weights.length - 1) * 100
    ? `${first} to ${last}`
    : weights.join(', ');
};

/** Every weight that a text role asks for is in the files, and emphasis has a true italic. */
export const weightsCheck: Check = (document, { styles }) => {
  const missing = [...styles.values()].flatMap((style): Finding[] => {
    const { id, name, slug, face, family, weight, weightWanted } = style;
    if (weight === weightWanted) return [];
    const own = document.type.roles.items[id]?.weight !== undefined;
    const path = own ? `/type/roles/items/${id}/weight` : `/fonts/roles/${face}/weight`;
    return [
      {
        id: `weight:${id}`,
        severity: 'repair',
        area: own ? 'type' : 'fonts',
        decision: path,
        title: `${family.name} has no weight ${weightWanted} for ${name}`,
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
      },
    ];
  });
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
