import { hasSmallLetters } from './construction.ts';
import { weightsOf, type FontFamily } from './family.ts';
import { firstBytes, neededFiles } from './files.ts';
import { PARTS, SHARES, type Pairing, type PairingBrief, type PairingPart } from './pairing.ts';
import { difference, drawnTogether, structureOf } from './structure.ts';

const share = (value: number): string => value.toFixed(3);

/** One sentence for each part, with the figures behind it. */
export function reasonsOf(
  { heading, text, label, parts }: Omit<Pairing, 'score'>,
  brief: PairingBrief,
): Readonly<Record<PairingPart, string>> {
  const same = heading.id === text.id;
  const families = [...new Set([heading, text, ...(label ? [label] : [])])];
  const xHeights = families.map(({ metrics }) => share(metrics.xHeight)).join(', ');
  const capitals = families.find((family) => !hasSmallLetters(family));
  const capHeights = families.map(({ metrics }) => share(metrics.capHeight)).join(', ');
  const files = (family: FontFamily): number =>
    firstBytes(
      neededFiles(family, { upright: [400, 700], italic: [400], languages: brief.languages }),
    );
  const kilobytes = Math.round(families.reduce((sum, one) => sum + files(one), 0) / 1000);
  return {
    mood:
      brief.mood.length === 0
        ? 'The brief has no words for the mood yet.'
        : `Carries ${brief.mood.join(', ')} to ${Math.round(parts.mood * 100)} %, the heading more than the text.`,
    difference: same
      ? 'One family: the levels are told apart by size and weight alone.'
      : [sentenceOf(heading, text), ...(label ? [`Labels: ${sentenceOf(label, text)}`] : [])].join(
          ' ',
        ),
    'x-height': `${
      capitals
        ? `${capitals.name} has no small letters; capitals of ${capHeights} em`
        : `Small letters of ${xHeights} em`
    }: ${parts['x-height'] > 0.6 ? 'they stand in one line' : 'mixing them in a line will show'}.`,
    reading: `Text letters ${share(text.metrics.xHeight)} em high, stems ${share(text.metrics.stem)} em, thin to thick ${text.metrics.thinToThick.toFixed(2)}${
      label
        ? `; label letters ${share(label.metrics.xHeight)} em, stems ${share(label.metrics.stem)} em`
        : ''
    }.`,
    weights: `${weightsOf(heading).length} weights for headings, ${weightsOf(text).length} for text${
      label ? `, ${weightsOf(label).length} for labels` : ''
    }.`,
    bytes: `About ${kilobytes} kB of a budget of ${brief.budgetKb} kB.`,
  };
}

/** How two structures differ, in words and figures. */
function sentenceOf(one: FontFamily, text: FontFamily): string {
  const [first, second] = [structureOf(one), structureOf(text)];
  if (drawnTogether(first, second)) return 'Drawn together: different kinds with one skeleton.';
  const far = difference(first, second);
  return `${first.construction} over ${second.construction}, thick to thin ${first.traits.modulation.toFixed(2)} and ${second.traits.modulation.toFixed(2)}: ${
    far > 0.7
      ? 'clearly meant'
      : far > 0.45
        ? 'to be seen, not to be missed'
        : 'too alike to look meant'
  }.`;
}

/**
 * Why a pair stands where it stands: what it gains most from and what it loses most to, in points of a
 * hundred. Said of the best as of the worst.
 */
export function standingOf({ parts }: Pick<Pairing, 'parts'>): string {
  const points = PARTS.map((part) => ({
    part,
    most: Math.round(SHARES[part] * 100),
    gained: SHARES[part] * parts[part] ** 2 * 100,
  }));
  const told = ({ part, most, gained }: (typeof points)[number]): string =>
    `${part} (${Math.round(gained)} of ${most})`;
  const gains = points.toSorted((one, other) => other.gained - one.gained).slice(0, 2);
  const [loss] = points.toSorted(
    (one, other) => other.most - other.gained - (one.most - one.gained),
  );
  const lost = loss && loss.most - loss.gained >= 1 ? `; loses most to ${told(loss)}` : '';
  return `Most points from ${gains.map(told).join(' and ')}${lost}.`;
}
