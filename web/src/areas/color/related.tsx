import { HUE_RULE_NAMES, relatedColors, type HueRule } from '@garnish/core/color/harmony';
import { colorName } from '@garnish/core/color/names';
import type { Hex } from '@garnish/core/color/srgb';
import { DISPLAY_PALETTES, nearestOf, type DisplayPalette } from '@garnish/core/image/displays';
import { useState } from 'react';
import { useStore } from '../../system/system-context.ts';
import { triedBy, useTrying } from '../../system/use-trying.ts';
import { Choice } from '../../ui/choice.tsx';
import { NumberField } from '../../ui/number-field.tsx';
import { becoming, useBecomes } from './become.ts';
import { BecomesChoice } from './becomes-choice.tsx';

interface RelatedProps {
  readonly name: string;
  readonly value: Hex;
}

/** The colors that belong with one by the rules of the hue circle, turned by hand, each to be taken. */
export function Related({ name, value }: RelatedProps) {
  const store = useStore();
  const trying = useTrying();
  const [becomes, setBecomes] = useBecomes();
  const [rule, setRule] = useState<HueRule>('complement');
  const [turn, setTurn] = useState(0);
  const [within, setWithin] = useState('');
  const palette: DisplayPalette | undefined = DISPLAY_PALETTES.find(({ id }) => id === within);
  const found = relatedColors(value, rule, turn).map((hex) =>
    palette ? nearestOf(palette.colors, hex).hex : hex,
  );
  return (
    <div role="group" aria-label={`Related to ${name}`} className="mt-1 border-s border-line ps-3">
      <Choice
        label="Rule of the hue circle"
        options={HUE_RULE_NAMES.map((option) => ({ value: option, name: option }))}
        value={rule}
        onChange={setRule}
      />
      <div className="my-1 grid grid-cols-2 gap-x-3">
        <NumberField
          label="turned by"
          value={turn}
          min={-180}
          max={180}
          step={5}
          decimals={0}
          unit="°"
          slider
          onChange={setTurn}
        />
        <label className="min-w-0">
          <span className="block text-quiet">confined to</span>
          <select
            className="select w-full"
            value={within}
            onChange={(event) => setWithin(event.currentTarget.value)}
          >
            <option value="">any color</option>
            {DISPLAY_PALETTES.map(({ id, name: called }) => (
              <option key={id} value={id}>
                {called}
              </option>
            ))}
          </select>
        </label>
      </div>
      <BecomesChoice value={becomes} onChange={setBecomes} />
      <ul>
        {found.map((hex, index) => (
          <li key={`${hex} ${index}`} className="flex items-center gap-3 border-b border-line">
            <span className="h-5 w-10 shrink-0" style={{ background: hex }} aria-hidden />
            <span className="figures">{hex}</span>
            <span className="min-w-0 grow truncate text-quiet">{colorName(hex)}</span>
            <button
              type="button"
              className="act"
              aria-label={`Take ${hex} beside ${name}`}
              {...triedBy(trying, () => becoming(store, { name: '', hex }, becomes))}
            >
              Take as {becomes}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
