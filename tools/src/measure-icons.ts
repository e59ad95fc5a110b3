/**
 * Measures every shipped icon from its paths and writes what is committed. Run it again after an icon package has
 * changed; the tests say when the measures no longer fit. With the name of a set, that set alone.
 */
import { writeFileSync } from 'node:fs';
import { measureIcon, type IconMeasures } from '@garnish/core/icons/measure';
import { writeMeasures } from '@garnish/core/icons/measured-line';
import { iconSets, measuredPath, SET_IDS } from '@garnish/server/icons/sets';
import { say } from './say.ts';

const asked = process.argv.slice(2);

for (const id of asked.length > 0 ? asked : SET_IDS) {
  const set = iconSets().get(id);
  if (!set) throw new Error(`There is no set ${id}: ${SET_IDS.join(', ')}.`);
  const measured = new Map<string, IconMeasures>();
  for (const { name } of set.icons) {
    const drawing = set.drawing(name);
    const measures = drawing && measureIcon(drawing);
    if (measures) measured.set(name, measures);
  }
  writeFileSync(measuredPath(id), writeMeasures(measured));
  say(`${set.name}: ${measured.size} of ${set.icons.length} icons measured.`);
}
