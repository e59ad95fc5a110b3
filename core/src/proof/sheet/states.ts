import { COMPONENTS } from '../../components/components.ts';
import { stateOf } from '../../components/states.ts';
import { drawnRules } from '../drawn-states.ts';
import { ownVariantsOf } from '../../derive/own-variants.ts';
import { specimenOf, variantsOf } from '../specimens.ts';
import { caption, named, part, type Chapter } from './chapter.ts';

/** Every component that has variants, each in all its states. */
export const states: Chapter = {
  id: 'states',
  name: 'Components in their states',
  reads: [],
  isOfPages: true,
  rules: ({ rules }) => drawnRules(rules.flatMap((group) => group.rules)),
  nodes: (given) =>
    COMPONENTS.flatMap((component) => {
      const { id, name } = component;
      const variants = variantsOf(component, ownVariantsOf(given.document.components));
      return variants.length === 0
        ? []
        : [
            part(
              `row sheet-component-${id}`,
              caption(given, name),
              ...variants.map((variant) =>
                part(
                  'states',
                  ...[undefined, ...variant.states].map((state) =>
                    named(
                      specimenOf(variant, given.derived, state),
                      caption(
                        given,
                        state === undefined
                          ? variant.name === 'usual'
                            ? 'rest'
                            : variant.name
                          : stateOf(state).name,
                      ),
                    ),
                  ),
                ),
              ),
            ),
          ];
    }),
};
