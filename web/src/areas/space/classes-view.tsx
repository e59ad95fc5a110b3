import { namedSelector } from '@garnish/core/formats/naming';
import { utilityRules, writeUtilities } from '@garnish/core/formats/utilities';
import { useDecided, useStore } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Copy } from '../../ui/copy.tsx';
import { NameField } from '../../ui/name-field.tsx';

/** Utility classes for padding, margin and gap, where the developers want them. */
export function ClassesView() {
  const store = useStore();
  const { document, derived } = useDecided(
    ['space', 'type', 'layout', 'tokens'],
    ['steps', 'groups', 'rules'],
  );
  const { utilities } = document.space;
  const rules = utilities
    ? utilityRules(document, derived).map((rule) => ({
        ...rule,
        selector: namedSelector(rule.selector, document.tokens.sheet),
      }))
    : [];
  const css = utilities ? writeUtilities(document, derived) : '';
  return (
    <>
      <Section full title="Utility classes" aside="in a file of their own: utilities.css">
        <div data-decision="/space/utilities">
          <label className="flex min-h-7 items-center gap-1.5">
            <input
              type="checkbox"
              className="h-4 w-4 accent-primary"
              checked={utilities !== undefined}
              onChange={() =>
                store.change(
                  [
                    utilities
                      ? { op: 'remove', path: '/space/utilities' }
                      : {
                          op: 'add',
                          path: '/space/utilities',
                          value: { prefix: '', steps: 'in use', breakpoints: false },
                        },
                  ],
                  utilities ? 'no utility classes' : 'utility classes',
                )
              }
            />
            Export classes for padding, margin and gap
          </label>
          {utilities ? (
            <div className="mt-2 grid gap-2">
              <div className="flex flex-wrap items-center gap-x-4">
                <span className="w-16 text-quiet">steps</span>
                <Choice
                  label="Steps that have classes"
                  options={[
                    { value: 'in use', name: 'those in use' },
                    { value: 'all', name: 'all' },
                  ]}
                  value={utilities.steps}
                  onChange={(value) =>
                    store.change(
                      [{ op: 'replace', path: '/space/utilities/steps', value }],
                      `classes for ${value}`,
                    )
                  }
                />
              </div>
              <div className="flex flex-wrap items-center gap-x-4">
                <span className="w-16 text-quiet">prefix</span>
                <div className="w-32">
                  <NameField
                    label="Prefix of the classes"
                    hideLabel
                    value={utilities.prefix === '' ? 'none' : utilities.prefix}
                    onChange={(name) => {
                      const plain = name
                        .toLowerCase()
                        .replaceAll(/[^a-z0-9]/g, '')
                        .slice(0, 12);
                      const value = plain === 'none' || plain === '' ? '' : `${plain}-`;
                      store.change(
                        [{ op: 'replace', path: '/space/utilities/prefix', value }],
                        `prefix ${value || 'none'}`,
                      );
                    }}
                  />
                </div>
              </div>
              <label className="flex min-h-6 items-center gap-1.5">
                <input
                  type="checkbox"
                  className="h-4 w-4 accent-primary"
                  checked={utilities.breakpoints}
                  onChange={() =>
                    store.change(
                      [
                        {
                          op: 'replace',
                          path: '/space/utilities/breakpoints',
                          value: !utilities.breakpoints,
                        },
                      ],
                      utilities.breakpoints ? 'classes for every width' : 'classes by breakpoint',
                    )
                  }
                />
                again from each breakpoint up
              </label>
              <p className="text-quiet">
                {rules.length} classes, {(css.length / 1024).toFixed(1)} KB before compression. A
                click copies.
              </p>
            </div>
          ) : (
            <p className="mt-1 text-quiet">
              Components are built from roles; classes are for what stands beside them.
            </p>
          )}
        </div>
      </Section>
      {utilities && (
        <Section full title="Classes" aside="what each does">
          <ul className="grid grid-cols-2 gap-x-6" aria-label="Utility classes">
            {rules.slice(0, 200).map(({ selector, within, declarations }) => (
              <li
                key={`${within ?? ''}${selector}`}
                className="flex min-w-0 items-baseline gap-2 border-t border-line"
              >
                <Copy
                  className="figures text-xs"
                  text={selector.slice(1)}
                  label={`Copy the class ${selector.slice(1)}`}
                >
                  {selector.slice(1)}
                </Copy>
                <span className="min-w-0 grow truncate text-end text-xs text-quiet">
                  {declarations.map(([property]) => property).join(', ')}
                </span>
              </li>
            ))}
          </ul>
          {rules.length > 200 && (
            <p className="text-xs text-quiet">
              The first 200 of {rules.length}; all are in the file.
            </p>
          )}
        </Section>
      )}
    </>
  );
}
