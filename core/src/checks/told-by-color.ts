import { COMPONENTS } from '../components/components.ts';
import { stateOf, type StateId } from '../components/states.ts';
import { oklabDistance, oklabOf } from '../color/oklab.ts';
import { rgbOf } from '../color/srgb.ts';
import { MODES } from '../system/document.ts';
import { modesOf } from '../system/themes.ts';
import { SEEN } from './component-states.ts';
import { checkOf, type Finding } from './finding.ts';

/** The states that a use of color tells: what of, which, and the roles at rest and in it. */
const TOLD = COMPONENTS.flatMap(({ name, told = {} }) =>
  Object.values(told).flatMap((states) =>
    Object.entries(states).map(([state, roles]) => ({ name, state: state as StateId, roles })),
  ),
);

/** States that no part of a component tells but a color that is decided for a text: a visited link. */
export const toldByColorCheck = checkOf([], ['colors', 'themes'], (_, { colors, themes }) =>
  TOLD.flatMap(({ name, state, roles: [from, to] }) => {
    const [rest, now] = [colors.get(from), colors.get(to)];
    // What a site does not tell at all is its own choice.
    if (!rest || !now) return [];
    return MODES.filter((mode) => modesOf(themes).includes(mode)).flatMap((mode): Finding[] => {
      const [one, other] = [rest.colors[mode], now.colors[mode]];
      const apart = oklabDistance(oklabOf(rgbOf(one)), oklabOf(rgbOf(other)));
      if (apart >= SEEN) return [];
      return [
        {
          id: `told:${from}:${to}:${mode}`,
          severity: 'look',
          area: 'color',
          decision: `/color/roles/items/${to}/${mode}`,
          title: `${name}: ${stateOf(state).name} looks as at rest in ${mode}`,
          figures: `${one} and ${other}, ${apart.toFixed(3)} apart in OKLab; ${SEEN} is hardly seen`,
          reason: 'Who has been there does not see it.',
          source: 'CSS Color 4, 13.2, just noticeable difference',
          where: { selector: 'a', mode },
        },
      ];
    });
  }),
);
