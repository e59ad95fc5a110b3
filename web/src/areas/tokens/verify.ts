import type { FileReport, Seen, Verification } from '@garnish/core/verify/report';
import type { Asked, VerifiedOf } from '@garnish/core/verify/readings';
import type { Holds } from '@garnish/core/verify/shown';
import type { VerifiableFile } from '@garnish/core/verify/verifiable';
import { getText, send } from '../../api/client.ts';
import { openHiddenFrame } from '../../proof/hidden-frame.ts';
import { breathe } from '../../ui/in-breaths.ts';

/** So many elements are read before the page may answer to its keys again. */
const SLICE = 200;

/** How far it has come. */
export interface Progress {
  readonly file: string;
  readonly done: number;
  readonly of: number;
}

/** An element that nothing of the page's rules reaches but what is asked for. */
function probed(page: Document, { probe: { set, before = '' } }: Asked, css: string): HTMLElement {
  const element = page.createElement('i');
  element.style.setProperty('position', 'absolute', 'important');
  element.style.setProperty(set, before + css, 'important');
  return element;
}

function classed(page: Document, name: string): HTMLElement {
  const element = page.createElement('i');
  element.className = name;
  return element;
}

const readOn = (element: HTMLElement, { probe: { read } }: Asked): readonly string[] => {
  const style = element.ownerDocument.defaultView?.getComputedStyle(element);
  return read.map((property) => style?.getPropertyValue(property) ?? '');
};

/**
 * Takes files of a system as they are served, lays each into a page, and reads every value beside the one that is
 * shown: in each theme, at each width at which anything is decided.
 * Throws where a file does not come, or where the system was changed meanwhile.
 */
export async function verify(
  id: string,
  files: readonly VerifiableFile[],
  of: Pick<VerifiedOf, 'document' | 'derived'>,
  isOff: () => boolean,
  onProgress: (progress: Progress) => void,
): Promise<{ readonly verification: Verification; readonly sequence: number } | undefined> {
  const [{ readingOf }, { reporting, unreadable }, { shownValues }] = await Promise.all([
    import('@garnish/core/verify/readings'),
    import('@garnish/core/verify/report'),
    import('@garnish/core/verify/shown'),
  ]);
  const take = (file: string) => getText(`/api/systems/${id}/export/${file}`);
  const sheet = await take('tokens.css');
  const opened = await openHiddenFrame('Verified, not shown');
  if (!opened) throw new Error('the browser opens no page to verify in');
  const { page, frame } = opened;
  try {
    const view = page.defaultView;
    if (!view) throw new Error('the page that is verified in has no window');
    const root = page.documentElement;
    root.style.overflow = 'hidden';
    const onScreen: Holds = (within) => view.matchMedia(within.replace(/^@media\s*/, '')).matches;

    const verifyFile = async (
      file: VerifiableFile,
      text: string,
    ): Promise<FileReport | undefined> => {
      let reading: ReturnType<typeof readingOf>;
      try {
        reading = readingOf(file, text, { ...of, sheet: sheet.text });
      } catch (error) {
        return unreadable(file, error instanceof Error ? error.message : 'it cannot be read');
      }
      const report = reporting(file, reading);
      page.adoptedStyleSheets = reading.sheets.map((css) => {
        const own = new view.CSSStyleSheet();
        own.replaceSync(css);
        return own;
      });
      for (const mode of reading.modes) {
        root.dataset['theme'] = mode;
        for (const widthPx of reading.widths) {
          frame.style.width = `${widthPx}px`;
          const holds = reading.holds(onScreen);
          const shown = shownValues(of.derived, mode, holds);
          const asked = reading.asked(mode, holds);
          const pairs = asked.map((one) => {
            const here = probed(page, one, shown.get(one.token) ?? '');
            const there =
              one.className === undefined
                ? probed(page, one, one.css ?? '')
                : classed(page, one.className);
            return { asked: one, here, there };
          });
          page.body.replaceChildren(...pairs.flatMap(({ here, there }) => [here, there]));
          const style = view.getComputedStyle(root);
          let count = 0;
          for (const { asked: one, here, there } of pairs) {
            const isThere =
              one.property === undefined || style.getPropertyValue(one.property).trim() !== '';
            const seen: Seen = {
              asked: one,
              shown: readOn(here, one),
              read: isThere ? readOn(there, one) : undefined,
            };
            if (!reading.without.has(one.token)) report.see(seen, mode, widthPx);
            count += 1;
            if (count % SLICE !== 0) continue;
            await breathe();
            if (isOff()) return undefined;
          }
          const there = new Set(asked.map(({ token }) => token));
          for (const [token, value] of shown)
            if (!there.has(token) && !reading.without.has(token))
              report.miss(token, value, mode, widthPx);
        }
      }
      return report.end();
    };

    const reports: FileReport[] = [];
    for (const [done, file] of files.entries()) {
      onProgress({ file, done, of: files.length });
      const { text, etag } = file === 'tokens.css' ? sheet : await take(file);
      if (etag !== sheet.etag)
        throw new Error('The system was changed while it was verified. Verify once more.');
      const report = await verifyFile(file, text);
      if (!report || isOff()) return undefined;
      reports.push(report);
    }
    return {
      verification: { files: reports },
      sequence: Number(/\d+/.exec(sheet.etag ?? '')?.[0]),
    };
  } finally {
    frame.remove();
  }
}

/** Keeps what came out with the state that it is of. */
export const keepVerified = (
  id: string,
  sequence: number,
  verification: Verification,
): Promise<unknown> => send('PUT', `/api/systems/${id}/verified`, { sequence, verification });
