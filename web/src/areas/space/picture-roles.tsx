import { PICTURE_ROLES, pictureRole, type Treatment } from '@garnish/core/system/picture-roles';
import { inOrder } from '@garnish/core/system/document';
import { jsonOf, type Json, type Operation } from '@garnish/core/system/patch';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';

const KINDS = [
  ['as it is', 'as it is'],
  ['faint', 'faint'],
  ['toned', 'toned in one role'],
  ['toned in two', 'toned in two roles'],
] as const;

type KindId = (typeof KINDS)[number][0];

const kindOf = (treatment: Treatment | undefined): KindId => {
  if (!treatment) return 'as it is';
  if (treatment.kind === 'faint') return 'faint';
  return treatment.second === undefined ? 'toned' : 'toned in two';
};

/** What pictures are on the pages: the shape that each role has, and what is done to its pictures. */
export function PictureRoles() {
  const store = useStore();
  const { layout, color } = useDecided(['layout', 'color']).document;
  const { pictureRoles, pictures: shapes } = layout;
  const [first = 'text', second = first] = ['text', 'page'].filter((id) =>
    Object.hasOwn(color.roles.items, id),
  );
  const roles = inOrder(color.roles);
  /** Writes a part of a role, whose place may not be there yet; lets go of what holds nothing. */
  const write = (role: string, part: string, value: Json | undefined, label: string): void => {
    const own = pictureRole(layout, role as never) ?? {};
    const { [part]: _before, ...rest } = own as Readonly<Record<string, unknown>>;
    const next = value === undefined ? rest : { ...rest, [part]: value };
    const path = '/layout/pictureRoles';
    const isEmpty = Object.keys(next).length === 0;
    const others = Object.keys(pictureRoles ?? {}).filter((one) => one !== role);
    if (isEmpty && Object.keys(own).length === 0) return;
    const change: Operation = isEmpty
      ? { op: 'remove', path: others.length === 0 ? path : `${path}/${role}` }
      : pictureRoles === undefined
        ? { op: 'add', path, value: jsonOf({ [role]: next }) }
        : { op: 'add', path: `${path}/${role}`, value: jsonOf(next) };
    store.change([change], label);
  };
  const treatmentOf = (kind: KindId, now: Treatment | undefined): Treatment | undefined => {
    const own = now?.kind === 'toned' ? now.color : first;
    switch (kind) {
      case 'as it is':
        return undefined;
      case 'faint':
        return { kind: 'faint', opacity: 0.5 };
      case 'toned':
        return { kind: 'toned', color: own };
      case 'toned in two':
        return { kind: 'toned', color: own, second: own === second ? first : second };
    }
  };
  return (
    <ul aria-label="What pictures are on the pages">
      {PICTURE_ROLES.map(({ id, name, says, isUnderWords }) => {
        const own = pictureRole(layout, id);
        const treatment = own?.treatment;
        const path = `/layout/pictureRoles/${id}`;
        const shape = own && 'shape' in own ? own.shape : undefined;
        const roleChoice = (part: 'color' | 'second', label: string) =>
          treatment?.kind === 'toned' && (
            <TrySelect
              aria-label={`${label} of ${name}`}
              className="select w-full"
              value={treatment[part] ?? ''}
              onChange={({ currentTarget: { value } }) =>
                write(id, 'treatment', jsonOf({ ...treatment, [part]: value }), `${name} toned`)
              }
            >
              {roles.map(([role, { name: says1 }]) => (
                <option key={role} value={role}>
                  {says1}
                </option>
              ))}
            </TrySelect>
          );
        return (
          <li
            key={id}
            data-decision={path}
            className="grid grid-cols-[minmax(0,1fr)_7rem_8.5rem] items-center gap-x-3 border-t border-line py-1 first:border-t-0"
          >
            <p className="min-w-0">
              <span className="font-semibold">{name}</span>{' '}
              <span className="text-quiet">{says}</span>
            </p>
            {isUnderWords ? (
              <span className="text-quiet">fills its room</span>
            ) : (
              <TrySelect
                aria-label={`Shape of ${name}`}
                className="select w-full"
                value={shape ?? ''}
                onChange={({ currentTarget: { value } }) =>
                  write(id, 'shape', value === '' ? undefined : value, `shape of ${name}`)
                }
              >
                <option value="">{id === 'portrait' ? 'round' : 'usual'}</option>
                {inOrder(shapes).map(([one, { name: called }]) => (
                  <option key={one} value={one}>
                    {called}
                  </option>
                ))}
              </TrySelect>
            )}
            <TrySelect
              aria-label={`What is done to ${name}`}
              className="select w-full"
              value={kindOf(treatment)}
              onChange={({ currentTarget: { value } }) => {
                const next = treatmentOf(value as KindId, treatment);
                write(id, 'treatment', next && jsonOf(next), `${name} ${value}`);
              }}
            >
              {KINDS.map(([kind, words]) => (
                <option key={kind} value={kind}>
                  {words}
                </option>
              ))}
            </TrySelect>
            {treatment && (
              <div className="col-span-2 col-start-2 grid grid-cols-subgrid items-end">
                {treatment.kind === 'faint' ? (
                  <>
                    <span className="text-quiet">so much is seen</span>
                    <DecidedNumber
                      path={`${path}/treatment/opacity`}
                      name={`${name} faint`}
                      label={`How much of ${name} is seen`}
                      hideLabel
                      value={treatment.opacity}
                      factor={0.01}
                      step={5}
                      decimals={0}
                      unit="%"
                    />
                  </>
                ) : (
                  <>
                    {roleChoice('color', 'First role')}
                    {treatment.second === undefined ? (
                      <span className="text-quiet">to white or black</span>
                    ) : (
                      roleChoice('second', 'Second role')
                    )}
                  </>
                )}
              </div>
            )}
          </li>
        );
      })}
    </ul>
  );
}
