import type { DeliveredFace } from '@garnish/core/derive/derived';
import { firstVisit } from '@garnish/core/derive/type/faces';
import { isFirst } from '@garnish/core/fonts/family';
import { FONT_FOLDER } from '@garnish/core/formats/sheet';
import { useDecided, useSystem } from '../../system/system-context.ts';
import { Copy } from '../../ui/copy.tsx';

const kilobytes = (bytes: number): string => `${(bytes / 1000).toFixed(0)} kB`;

const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;

const sumOf = (files: DeliveredFace['files']): number =>
  files.reduce((sum, { bytes }) => sum + bytes, 0);

/** What a group of files is for, in words: the script, the style, the weights. */
function groups({ files }: DeliveredFace) {
  const byUse = new Map<
    string,
    { words: string; first: boolean; files: DeliveredFace['files'][number][] }
  >();
  for (const file of files) {
    const { min, max } = file.weight;
    const words = `${file.style === 'italic' ? 'italic' : 'upright'} ${min === max ? min : `${min} to ${max}`}, ${file.script}`;
    const known = byUse.get(words);
    if (known) known.files.push(file);
    else byUse.set(words, { words, first: isFirst(file), files: [file] });
  }
  return [...byUse.values()];
}

/** What asks for the first files before the style sheet has been read. */
const preloadsOf = (faces: readonly DeliveredFace[], below: number | undefined): string =>
  faces
    .flatMap(({ files, screens }) => {
      const media =
        screens === 'all' ? '' : ` media="(width ${screens === 'wide' ? '>=' : '<'} ${below}px)"`;
      return files
        .filter((file) => isFirst(file) && file.style === 'normal')
        .map(
          ({ name }) =>
            `<link rel="preload" href="${FONT_FOLDER}/${name}" as="font" type="font/woff2"${media} crossorigin>`,
        );
    })
    .join('\n');

/** The files that the decisions really need, against the budget, and what stands in until they come. */
export function Delivery() {
  const decided = useDecided(['brief', 'fonts'], ['faces']);
  const id = useSystem((state) => state.id);
  const { faces } = decided.derived;
  const { fontBudgetKb } = decided.document.brief;
  const { narrow } = decided.document.fonts;
  const first = firstVisit(faces);
  const share = first / 1000 / fontBudgetKb;
  return (
    <>
      <p className="flex items-baseline justify-between">
        <span>A first visit loads</span>
        <span className="figures">
          <span className={share > 1 ? 'text-warning' : ''}>{kilobytes(first)}</span>
          <span className="text-quiet"> of {fontBudgetKb} kB</span>
        </span>
      </p>
      <div className="relative my-1 h-2 bg-line" aria-hidden>
        <span
          className={`block h-full ${share > 1 ? 'bg-warning' : 'bg-base-content'}`}
          style={{ width: `${Math.min(1, share) * 100}%` }}
        />
      </div>
      {faces.map((face) => {
        const { family, files, standIn, screens } = face;
        return (
          <section key={family.id} aria-label={family.name} className="mt-3">
            <h3 className="flex justify-between border-b border-line-strong font-semibold">
              <span>
                {family.name}
                {screens !== 'all' && narrow && (
                  <span className="font-normal text-quiet">
                    {' '}
                    {screens === 'wide' ? 'from' : 'below'}{' '}
                    <span className="figures">{narrow.below}</span> px
                  </span>
                )}
              </span>
              <span className="figures font-normal">{kilobytes(sumOf(files))}</span>
            </h3>
            <ul>
              {groups(face).map(({ words, first: isFirst, files: own }) => (
                <li key={words} className="flex justify-between gap-3 border-b border-line py-0.5">
                  <span>
                    {words}
                    {!isFirst && <span className="text-quiet"> on demand</span>}
                  </span>
                  <span
                    className="figures whitespace-nowrap text-quiet"
                    title="what leaving it out would save"
                  >
                    {kilobytes(sumOf(own))}
                  </span>
                </li>
              ))}
            </ul>
            <p className="mt-1 text-xs text-quiet">
              {family.stack !== undefined ? (
                <>
                  Nothing is loaded: <span className="figures">{family.stack}</span>
                </>
              ) : (
                <>
                  Fallback font until it has loaded: {standIn.font.name}, fitted:{' '}
                  <span className="figures">
                    size {percent(standIn.sizeAdjust)}, ascent {percent(standIn.ascentOverride)},
                    descent {percent(standIn.descentOverride)}
                  </span>
                </>
              )}
            </p>
          </section>
        );
      })}
      <p className="mt-3 flex flex-wrap items-baseline gap-x-4">
        <Copy className="act" text={preloadsOf(faces, narrow?.below)}>
          Copy the preload hints
        </Copy>
        <a className="act" href={`/api/systems/${id}/export/fonts.zip`} download>
          fonts.zip
        </a>
        <span className="text-xs text-quiet">the same files as TTF, for mock-ups</span>
      </p>
    </>
  );
}
