import { shownPixels } from '../../image/srcset.ts';
import { picturesOf } from '../../system/pictures.ts';
import type { StyleDocument } from '../../system/document.ts';
import type { Finding } from '../finding.ts';
import { selectorOf, type MeasuredPage } from './measured-page.ts';

/** So many times what its largest place shows at two pixels for one a picture may have. Common practice. */
const MOST = 2;

/** A picture that is enlarged by less than this looks as it is. Common practice. */
const ENLARGED = 1.1;

interface Place {
  readonly page: MeasuredPage;
  readonly index: number;
  /** How many px of the picture’s width its place shows. */
  readonly px: number;
}

/** Where each picture is shown largest, over all pages and widths. */
function largest(pages: readonly MeasuredPage[]): ReadonlyMap<string, Place> {
  const found = new Map<string, Place>();
  for (const page of pages) {
    if (page.stress !== undefined || page.isSheet) continue;
    page.boxes.forEach(({ picture, width, height }, index) => {
      if (!picture || width === 0 || height === 0) return;
      const px = shownPixels(picture, { width, height });
      if (px > (found.get(picture.file)?.px ?? 0)) found.set(picture.file, { page, index, px });
    });
  }
  return found;
}

/**
 * Pictures that have fewer pixels than their place shows, and pictures that have many more than it can. How large they
 * are shown is measured at every width.
 */
export function pictureSizes(
  pages: readonly MeasuredPage[],
  document: Pick<StyleDocument, 'color' | 'content'>,
): readonly Finding[] {
  const known = new Map(picturesOf(document).map((picture) => [picture.file, picture]));
  return [...largest(pages)].flatMap(([file, { page, index, px }]): Finding[] => {
    const own = page.boxes[index]?.picture;
    if (!own) return [];
    const isSmall = own.width * ENLARGED < px;
    // What was drawn to fill a place weighs little and goes again.
    const isLarge = own.width > px * 2 * MOST && known.get(file)?.made === undefined;
    if (!isSmall && !isLarge) return [];
    const name = known.get(file)?.name ?? file;
    return [
      {
        id: `picture-size:${file}`,
        severity: isSmall ? 'repair' : 'look',
        area: 'brief',
        decision: '/content/pages',
        title: isSmall
          ? `“${name}” is enlarged`
          : `“${name}” is much larger than any place that it has`,
        figures: `${own.width} px wide; shown at up to ${Math.round(px)} px, at a screen of ${page.widthPx} px`,
        reason: isSmall
          ? 'Enlarged pixels look soft, and twice so on a dense screen.'
          : 'Whoever opens the page pays for pixels that nobody sees, unless narrower files are offered: pictures.zip has them.',
        source: isSmall
          ? 'measured on the pages; a tenth is not seen, common practice'
          : `measured on the pages; ${MOST} times two pixels for one, common practice`,
        where: {
          selector: selectorOf(page, index),
          widthPx: page.widthPx,
          ...(page.page !== undefined && { page: page.page }),
        },
      },
    ];
  });
}
