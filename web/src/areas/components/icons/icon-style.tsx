import { PLACES, SIZES_OF, USUAL_GAP, type SizeOf } from '@garnish/core/system/icon-schema';
import { USUAL_FAINT } from '@garnish/core/icons/usual';
import { inOrder } from '@garnish/core/system/document';
import type { Operation } from '@garnish/core/system/patch';
import { DecidedNumber } from '../../../system/decided-number.tsx';
import { Items } from '../../../system/items.tsx';
import { useDecided, useStore } from '../../../system/system-context.ts';
import { TrySelect } from '../../../system/try-select.tsx';
import { TryChoice } from '../../../system/try-choice.tsx';

const OF: Readonly<Record<SizeOf, string>> = {
  text: 'of the text',
  capitals: 'of its capitals',
  line: 'of its line',
  step: 'of a step',
};

/** What is decided of all icons at once. */
export function IconStyle() {
  const store = useStore();
  const { document, derived } = useDecided(['icons', 'color', 'space'], ['steps']);
  const { icons, color } = document;
  const steps = [...derived.steps.values()];
  const put = (path: string, value: string | undefined, says: string): void => {
    const change: Operation =
      value === undefined ? { op: 'remove', path } : { op: 'add', path, value };
    store.change([change], says);
  };
  return (
    <div className="grid gap-y-3">
      <div className="grid grid-cols-[repeat(auto-fill,minmax(6.5rem,1fr))] gap-x-5 gap-y-2">
        <DecidedNumber
          label="size"
          path="/icons/size"
          name="size of icons"
          value={icons.size}
          step={0.05}
          unit="em"
        />
        <DecidedNumber
          label="stroke"
          path="/icons/stroke"
          name="stroke of icons"
          value={icons.stroke}
          step={0.25}
          unit="px"
        />
        <DecidedNumber
          label="room to words"
          path="/icons/gap"
          name="room between icon and words"
          value={icons.gap ?? USUAL_GAP}
          step={0.05}
          unit="em"
        />
        <DecidedNumber
          label="second tone"
          path="/icons/faint"
          name="second tone of icons"
          value={icons.faint ?? USUAL_FAINT}
          factor={0.01}
          step={5}
          unit="%"
        />
        <label data-decision="/icons/second">
          <span className="block text-quiet">in the color</span>
          <TrySelect
            className="select w-full"
            value={icons.second ?? ''}
            onChange={({ currentTarget: { value } }) =>
              put('/icons/second', value === '' ? undefined : value, 'color of the second tone')
            }
          >
            <option value="">of its words</option>
            {inOrder(color.roles).map(([id, { name }]) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </TrySelect>
        </label>
      </div>
      <div className="flex items-baseline gap-x-4" data-decision="/icons/place">
        <span className="text-quiet">beside words, in the middle of</span>
        <TryChoice
          label="Place of icons beside words"
          options={PLACES.map((value) => ({ value, name: `the ${value}` }))}
          value={icons.place ?? 'capitals'}
          onChange={(value) => put('/icons/place', value, `icons in the middle of the ${value}`)}
        />
      </div>
      <div>
        <h3 className="text-quiet">Further sizes</h3>
        <Items
          path="/icons/sizes"
          collection={icons.sizes}
          what="size"
          columns="minmax(7rem, 9rem) minmax(5rem, 7rem) minmax(5rem, 7rem)"
          another={() => ({ name: 'large', of: 'text' as const, times: 2 })}
        >
          {(_id, size, path) => (
            <>
              <label>
                <span className="block text-quiet">times</span>
                <TrySelect
                  className="select w-full"
                  aria-label={`What ${size.name} is a multiple of`}
                  value={size.of}
                  onChange={({ currentTarget: { value } }) => {
                    const of = SIZES_OF.find((one) => one === value) ?? 'text';
                    const [step] = steps;
                    store.change(
                      [
                        { op: 'replace', path: `${path}/of`, value: of },
                        ...(of === 'step' && size.step === undefined && step
                          ? ([{ op: 'add', path: `${path}/step`, value: step.id }] as const)
                          : []),
                      ],
                      `icons, ${size.name}`,
                    );
                  }}
                >
                  {SIZES_OF.map((of) => (
                    <option key={of} value={of}>
                      {OF[of]}
                    </option>
                  ))}
                </TrySelect>
              </label>
              <DecidedNumber
                label="as large"
                path={`${path}/times`}
                name={`icons, ${size.name}`}
                value={size.times}
                step={0.05}
                unit="×"
              />
              {size.of === 'step' ? (
                <label>
                  <span className="block text-quiet">step</span>
                  <TrySelect
                    className="select w-full"
                    value={size.step ?? ''}
                    onChange={({ currentTarget: { value } }) =>
                      put(`${path}/step`, value, `icons, ${size.name}`)
                    }
                  >
                    {steps.map(({ id, name }) => (
                      <option key={id} value={id}>
                        {name}
                      </option>
                    ))}
                  </TrySelect>
                </label>
              ) : (
                <span />
              )}
            </>
          )}
        </Items>
      </div>
    </div>
  );
}
