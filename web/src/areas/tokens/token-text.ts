import { textsOf, type Texts } from '../../ui/text-files.ts';

const OURS = /(^|\/)[^/]*tokens\.json$/;
/** What may hold tokens. */
export const READABLE = /\.(json|tokens|css)$/i;

/** The texts of a token file: its own, or those in a zip; of one that Garnish exported only its tokens.json. */
export async function tokenTextsOf(file: File): Promise<Texts> {
  const found = await textsOf(file, READABLE, 'tokens');
  if (!found.ok || found.texts.length < 2) return found;
  // Beside its tokens an archive of ours has sheets that say the same.
  const ours = found.texts.filter((one) => OURS.test(one.name));
  const [only] = ours;
  const isExported = ours.length === 1 && only?.text.includes('"decisions"') === true;
  return isExported ? { ok: true, texts: ours } : found;
}
