import { inOrder, type SpaceRole } from '@garnish/core/system/document';
import { Plus, X } from 'lucide-react';
import { Fact } from '../../findings/fact.tsx';
import { Notes } from '../../findings/note.tsx';
import { useStore, useSystem } from '../../system/system-context.ts';
import { Bench, Section } from '../../ui/bench.tsx';
import { Copy } from '../../ui/copy.tsx';
import { NameField } from '../../ui/name-field.tsx';
import { NumberField } from '../../ui/number-field.tsx';
import { PX_UNITS } from '../../ui/quantity.ts';

const ROLES: readonly (readonly [SpaceRole, string])[] = [
  ['inset', 'inside a surface, from its edge to its content'],
  ['stack', 'between things that follow one another'],
  ['section', 'between the parts of a page'],
];

function Steps() {
  const store = useStore();
  const { decided } = useSystem();
  const { steps, roles } = decided.document.space;
  const derived = decided.derived.steps;
  const inUse = new Set<string>(Object.values(roles));
  const add = (): void => {
    const id = `step-${crypto.randomUUID().slice(0, 8)}`;
    const last = steps.items[steps.order.at(-1) ?? '']?.multiple ?? 1;
    store.change(
      [
        {
          op: 'add',
          path: `/space/steps/items/${id}`,
          value: {
            name: `step ${steps.order.length + 1}`,
            multiple: Math.min(64, Math.ceil(last * 1.5)),
          },
        },
        { op: 'replace', path: '/space/steps/order', value: [...steps.order, id] },
      ],
      'another step',
    );
  };
  const remove = (id: string, name: string): void => {
    store.change(
      [
        { op: 'remove', path: `/space/steps/items/${id}` },
        {
          op: 'replace',
          path: '/space/steps/order',
          value: steps.order.filter((other) => other !== id),
        },
      ],
      `without step ${name}`,
    );
  };
  return (
    <div>
      {inOrder(steps).map(([id, { name, multiple }]) => {
        const px = derived.get(id)?.px ?? 0;
        return (
          <div
            key={id}
            data-decision={`/space/steps/items/${id}`}
            className="border-t border-line py-1.5"
          >
            <div className="grid grid-cols-[5rem_4.5rem_minmax(0,1fr)_1.5rem] items-center gap-x-3">
              <NameField
                label={`Name of step ${name}`}
                hideLabel
                value={name}
                onChange={(next) =>
                  store.change(
                    [{ op: 'replace', path: `/space/steps/items/${id}/name`, value: next }],
                    `step ${next}`,
                  )
                }
              />
              <NumberField
                label={`Multiple of step ${name}`}
                hideLabel
                value={multiple}
                min={0.125}
                max={64}
                step={1}
                unit="×"
                onChange={(value, gesture) =>
                  store.change(
                    [{ op: 'replace', path: `/space/steps/items/${id}/multiple`, value }],
                    `multiple of ${name}`,
                    { gesture },
                  )
                }
              />
              <Copy
                className="figures justify-self-end"
                text={`${Number((px / 16).toFixed(4))}rem`}
                label={`Copy step ${name}, ${px} px, in rem`}
              >
                {px} px <span className="text-quiet">{Number((px / 16).toFixed(4))} rem</span>
              </Copy>
              {!inUse.has(id) && steps.order.length > 1 && (
                <button
                  type="button"
                  className="grid h-7 w-6 place-items-center text-quiet hover:text-base-content"
                  aria-label={`Remove step ${name}`}
                  title={`Remove ${name}: no role uses it`}
                  onClick={() => remove(id, name)}
                >
                  <X size={13} aria-hidden />
                </button>
              )}
            </div>
            <div
              aria-hidden
              className="mt-1 h-2 max-w-full bg-base-content"
              style={{ width: px }}
            />
          </div>
        );
      })}
      <button type="button" className="act mt-2 gap-1" onClick={add}>
        <Plus size={13} aria-hidden /> Another step
      </button>
    </div>
  );
}

/** The base unit, the steps built on it, and what each step is used for. */
export default function SpaceArea() {
  const store = useStore();
  const { decided, findings } = useSystem();
  const { unit, steps, roles } = decided.document.space;
  return (
    <Bench title="Space">
      <Section
        title="Base unit"
        aside="every step is a multiple of it"
        notes={<Notes findings={findings} at={['/space']} />}
      >
        <div className="w-32" data-decision="/space/unit">
          <NumberField
            label="unit"
            value={unit}
            min={1}
            max={400}
            step={1}
            unit="px"
            units={PX_UNITS}
            slider={false}
            note="exported in rem"
            onChange={(value, gesture) =>
              store.change([{ op: 'replace', path: '/space/unit', value }], 'base unit', {
                gesture,
              })
            }
          />
        </div>
      </Section>
      <Section
        title="Steps"
        aside="at true size"
        notes={<Fact>A step stays as long as a role uses it.</Fact>}
      >
        <Steps />
      </Section>
      <Section title="Roles" aside="which step does what">
        <div className="grid gap-2">
          {ROLES.map(([role, purpose]) => (
            <div
              key={role}
              data-decision={`/space/roles/${role}`}
              className="grid grid-cols-[4rem_6rem_minmax(0,1fr)] items-center gap-x-3"
            >
              <label htmlFor={`space-${role}`} className="font-semibold">
                {role}
              </label>
              <select
                id={`space-${role}`}
                className="select"
                value={roles[role]}
                onChange={(event) =>
                  store.change(
                    [
                      {
                        op: 'replace',
                        path: `/space/roles/${role}`,
                        value: event.currentTarget.value,
                      },
                    ],
                    `${role} space`,
                  )
                }
              >
                {inOrder(steps).map(([id, { name }]) => (
                  <option key={id} value={id}>
                    {name}, {decided.derived.steps.get(id)?.px} px
                  </option>
                ))}
              </select>
              <span className="text-xs text-quiet">{purpose}</span>
            </div>
          ))}
        </div>
      </Section>
    </Bench>
  );
}
