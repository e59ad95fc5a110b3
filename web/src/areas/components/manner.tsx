import { SURFACES, TELLINGS } from '@garnish/core/system/component-schema';
import { inOrder } from '@garnish/core/system/document';
import { Fragment, type ReactNode } from 'react';
import { Link } from 'react-router';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TryChoice } from '../../system/try-choice.tsx';

interface RowProps {
  readonly says: string;
  readonly children: ReactNode;
  readonly path?: string;
}

const Row = ({ says, path, children }: RowProps) => (
  <div
    data-decision={path}
    className="grid min-h-8 grid-cols-[4.5rem_minmax(0,1fr)] items-center border-b border-line"
  >
    <span className="text-quiet">{says}</span>
    {children}
  </div>
);

interface LengthProps {
  /** The id of the role of space, and which of its lengths. */
  readonly role: string;
  readonly side: 'value' | 'block';
  readonly label: string;
}

/** A length of a role of space, where it is one of its own; else the way to where it is decided. */
function Length({ role, side, label }: LengthProps) {
  const { roles } = useDecided(['space']).document.space;
  const own = roles.items[role];
  const length = own?.[side];
  const path = `/space/roles/items/${role}/${side}`;
  if (!own || length?.kind !== 'own')
    return (
      <Link
        className="act"
        to={`../space?view=roles&at=${encodeURIComponent(`/space/roles/items/${role}`)}`}
      >
        {own ? `${label}: as ${own.name} in Space` : `${label}: no such role`}
      </Link>
    );
  return (
    <DecidedNumber
      label={label}
      path={`${path}/value`}
      name={`${label} in controls`}
      value={length.value}
      step={length.unit === 'px' ? 1 : 0.125}
      unit={length.unit}
    />
  );
}

/** How all components look and answer at once: decisions of their own, and those of shape and space that they live by. */
export function Manner() {
  const store = useStore();
  const decide = (path: string, value: string, says: string): void => {
    store.change([{ op: 'replace', path, value }], says);
  };
  const { document } = useDecided(['components', 'shape']);
  const { manner } = document.components;
  const radii = inOrder(document.shape.radii).map(([id, { name }]) => ({ value: id, name }));
  const words = (values: readonly string[]) => values.map((value) => ({ value, name: value }));
  return (
    <div className="grid gap-x-4 @min-[28rem]:grid-cols-[minmax(0,17rem)_minmax(0,1fr)]">
      {(
        [
          [
            'surface',
            'surface',
            'What the main action stands out by',
            SURFACES,
            'control',
            'corners',
          ],
          ['states', 'states by', 'What a state differs by', TELLINGS, 'card', 'of cards'],
        ] as const
      ).map(([key, says, label, values, what, corners]) => (
        <Fragment key={key}>
          <Row says={says} path={`/components/manner/${key}`}>
            <TryChoice
              label={label}
              options={words(values)}
              value={manner[key]}
              onChange={(value) => decide(`/components/manner/${key}`, value, `${says} ${value}`)}
            />
          </Row>
          <Row says={corners}>
            <TryChoice
              label={`Corners of ${what}s`}
              options={radii}
              value={document.shape.corners[what]}
              onChange={(value) => decide(`/shape/corners/${what}`, value, `corners of ${what}s`)}
            />
          </Row>
        </Fragment>
      ))}
      <div className="@min-[28rem]:col-span-2">
        <Row says="room">
          <div className="grid grid-cols-3 gap-x-4 @max-[26rem]:grid-cols-1">
            <Length role="control" side="value" label="beside words" />
            <Length role="control" side="block" label="above, below" />
            <Length role="target" side="value" label="high at least" />
          </div>
        </Row>
      </div>
    </div>
  );
}
