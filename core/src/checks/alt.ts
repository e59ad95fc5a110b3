import { picturePlaces, type PicturePlace } from '../system/made-pictures.ts';
import type { StyleDocument } from '../system/document.ts';
import { jsonOf } from '../system/json.ts';
import { checkOf, type Finding, type Repair } from './finding.ts';

/** What cameras and programs call files: no word of it says what a picture shows. Common practice. */
const FILE_NAME =
  /\.(?:avif|gif|jpe?g|png|svg|webp)$|^(?:dsc|dscf|dscn|image|img|photo|picture|pxl|scan|screenshot|untitled)?[\s_\-.()\d]*$/i;

/** Whether words are the name of a file rather than what it shows. */
export const isFileName = (said: string): boolean => FILE_NAME.test(said.trim());

/** The longest that is read in one breath, in characters. Common practice. */
const LONGEST = 150;

const saying = (places: readonly PicturePlace[], alt: string, label: string): Repair => ({
  label,
  patch: places.map(({ path, picture }) => ({
    op: 'replace',
    path,
    value: jsonOf({ ...picture, alt }),
  })),
  before: places[0]?.picture?.alt ?? 'nothing said',
  after: alt === '' ? 'decoration: passed over' : alt,
});

const SOURCE = 'WCAG 2.2, 1.1.1; HTML, text that acts as an alternative for images';

function findingOf(file: string, places: readonly PicturePlace[]): Finding[] {
  const [first] = places;
  const picture = first?.picture;
  if (!first || !picture) return [];
  const { alt, name } = picture;
  const isUnsaid = alt === undefined;
  const isName = !isUnsaid && alt !== '' && isFileName(alt);
  const isLong = !isUnsaid && alt.length > LONGEST;
  if (!isUnsaid && !isName && !isLong) return [];
  const ways = [
    ...(isUnsaid && !isFileName(name) ? [saying(places, name, `Say “${name.slice(0, 40)}”`)] : []),
    ...(isLong ? [] : [saying(places, '', 'It is decoration')]),
  ];
  const [repair, ...others] = ways;
  return [
    {
      id: `alt:${first.path}`,
      severity: 'repair',
      area: 'brief',
      decision: first.path,
      title: isUnsaid
        ? `Nobody has said what “${name}” shows`
        : isName
          ? `“${alt}” does not say what the picture shows`
          : `What “${name}” shows is said at length`,
      figures: `${isLong ? `${alt.length} characters; ` : ''}${places.length === 1 ? 'one place' : `${places.length} places`} on the pages${first.of === '' ? '' : `, ${first.of.slice(0, 60)}`}`,
      reason: isLong
        ? 'It is read aloud without a stop; what takes longer belongs into the text.'
        : 'Who does not see a picture hears this in its place, or nothing.',
      source: isLong ? 'common practice' : SOURCE,
      where: { selector: `img[src$="${file}"]` },
      ...(repair && { repair }),
      ...(others.length > 0 && { ways: others }),
    },
  ];
}

/** Pictures of which nobody has said what they show; made ones say it themselves until they are replaced. */
export const altCheck = checkOf(
  ['content'],
  [],
  ({ content }: Pick<StyleDocument, 'content'>): readonly Finding[] => {
    const shown = picturePlaces(content).filter(({ picture }) => picture && !picture.made);
    const files = new Map<string, PicturePlace[]>();
    for (const place of shown) {
      // The same picture may say something else in another place.
      const key = `${place.picture?.file ?? ''} ${place.picture?.alt ?? '-'}`;
      files.set(key, [...(files.get(key) ?? []), place]);
    }
    return [...files.values()].flatMap((places) =>
      findingOf(places[0]?.picture?.file ?? '', places),
    );
  },
);
