import { LEAST_RATIO, similarNeighbors } from '../space/scale.ts';
import { checkOf, type Finding } from './finding.ts';

/** Steps that stand beside each other on the scale can be told apart. */
export const stepsCheck = checkOf(['space'], ['steps'], ({ space }, { steps }) => {
  const all = [...steps.values()];
  const falling = all.findIndex(({ px }, index) => px <= (all[index - 1]?.px ?? -1));
  const one = all[falling];
  const before = all[falling - 1];
  const disorder: Finding[] =
    one && before
      ? [
          {
            id: `steps-order:${one.id}`,
            severity: 'look',
            area: 'space',
            decision: `/space/steps/items/${one.id}`,
            title: `Step ${one.name} is not above ${before.name}`,
            figures: `${one.px} px after ${before.px} px`,
            reason: 'Whoever reaches for the next step up expects more space.',
            source: 'common practice',
            where: { selector: '.site' },
          },
        ]
      : [];
  return [
    ...disorder,
    ...similarNeighbors(all.map(({ px }) => px)).flatMap(({ index, ratio }): Finding[] => {
      const [lower, upper] = [all[index - 1], all[index]];
      if (!lower || !upper || ratio <= 1) return [];
      const multiple = Math.ceil((lower.px * LEAST_RATIO) / space.unit - 1e-9);
      const px = multiple * space.unit;
      const path = `/space/steps/items/${upper.id}`;
      return [
        {
          id: `steps-alike:${upper.id}`,
          severity: 'look',
          area: 'space',
          decision: path,
          title: `Steps ${lower.name} and ${upper.name} are alike`,
          figures: `${lower.px} px and ${upper.px} px, a ratio of ${ratio.toFixed(2)}; from ${LEAST_RATIO} they can be told apart`,
          reason: 'Two steps that look the same are chosen by chance.',
          source: 'common practice',
          where: { selector: '.site' },
          ...(space.scale !== 'geometric' && {
            repair: {
              label: `${upper.name} to ${px} px`,
              patch: [
                space.scale === 'multiples'
                  ? { op: 'replace', path: `${path}/multiple`, value: multiple }
                  : { op: 'add', path: `${path}/px`, value: px },
              ],
              before: `${upper.px} px`,
              after: `${px} px`,
            },
          }),
        },
      ];
    }),
  ];
});
