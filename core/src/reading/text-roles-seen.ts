import type { Proposal } from './proposal.ts';
import { percent, round } from './said.ts';
import { mostWeighted, runningSize, wordsArea, type SeenElement } from './seen.ts';

/** The roles of text beside headings and running text, by how large it is beside that, and by its place. Common practice. */
const ROLES = [
  ['lead', (times: number) => times >= 1.08 && times < 1.9],
  ['small', (times: number, place: number) => times < 0.97 && place > -1.5],
  ['caption', (times: number, place: number) => times >= 0.5 && place <= -1.5],
] as const;
/** So far off its place a size may lie, as a share of a step of the scale. */
const MOST_OFF = 0.35;
/** Less of all running words than this is no role. Common practice. */
const LEAST_SHARE = 0.01;

/**
 * The places of larger and smaller text on the scale that a page is set in: the sizes that most of it has.
 * @param ratio of the scale on a wide screen
 */
export function textRolesSeen(seen: readonly SeenElement[], ratio: number): readonly Proposal[] {
  const body = runningSize(seen);
  const words = seen.filter(
    (one) => one.signs > 0 && one.level === undefined && !one.isLink && one.acts === undefined,
  );
  const all = words.reduce((sum, one) => sum + wordsArea(one), 0);
  if (body === undefined || all === 0 || ratio <= 1) return [];
  const placeOf = (px: number): number => Math.log(px / body) / Math.log(ratio);
  const found = ROLES.flatMap(([role, isOne]) => {
    const own = words.filter(({ sizePx }) => isOne(sizePx / body, placeOf(sizePx)));
    const px = mostWeighted(own.map((one) => [one.sizePx, wordsArea(one)] as const));
    const area = own.reduce((sum, one) => sum + wordsArea(one), 0);
    if (px === undefined || area / all < LEAST_SHARE) return [];
    const exact = placeOf(px);
    const place = Math.round(exact);
    return [{ role, px, place, isOn: Math.abs(exact - place) <= MOST_OFF, area }];
  });
  const placed = found.filter(({ isOn, place }) => isOn && place !== 0);
  if (placed.length === 0) return [];
  const explained = placed.reduce((sum, { area }) => sum + area, 0);
  const told = found.reduce((sum, { area }) => sum + area, 0);
  const signed = (place: number): string => (place > 0 ? `+${place}` : `−${-place}`);
  return [
    {
      id: 'text roles',
      name: 'larger and smaller text',
      value: placed
        .map(({ role, px, place }) => `${role} ${round(px, 1)} px, ${signed(place)}`)
        .join('; '),
      usual: 'lead +1; small −1; caption −1',
      why: `${percent(explained / told)} of text that is no running text is of these sizes`,
      explains: explained / told,
      unexplained: found
        .filter((one) => !placed.includes(one))
        .map(({ role, px }) => `${round(px, 1)} px, ${role}`),
      patch: placed.map(({ role, place }) => ({
        op: 'replace',
        path: `/type/roles/items/${role}/place`,
        value: place,
      })),
    },
  ];
}
