import type { TextStyle } from '@garnish/core/derive/derived';
import { middlePx, sizeAtAnchor } from '@garnish/core/derive/type/styles';
import { inOrder } from '@garnish/core/system/document';
import { letterSpacingOf, lineHeightOf } from '@garnish/core/type/line-height';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided } from '../../system/system-context.ts';
import { PX_UNITS } from '../../ui/quantity.ts';
import { anchorName } from './anchors.tsx';
import { Own } from './own.tsx';
import { useRoleChange, type RolePartProps } from './use-role-change.ts';

interface RoleNumbersProps extends RolePartProps {
  readonly style: TextStyle;
}

/** The sizes of a role at every anchor, its line height, its letter spacing, and its longest line. */
export function RoleNumbers({ id, role, style }: RoleNumbersProps) {
  const { type } = useDecided(['type']).document;
  const { path, said, clear, owns, back } = useRoleChange(id, role);
  const px = middlePx(style.size);
  const lineHeight = lineHeightOf(px, {
    xHeight: style.family.metrics.xHeight,
    ...(role.longest !== undefined && { characters: role.longest }),
  });
  const sizes = role.sizes ?? {};
  return (
    <>
      {inOrder(type.anchors).map(([anchorId, anchor]) => {
        const name = `size at ${anchor.width} px`;
        return (
          <Own
            key={anchorId}
            name={name}
            own={owns('sizes') && (role.follows !== undefined || Object.hasOwn(sizes, anchorId))}
            back={back}
            onClear={() => clear(Object.keys(sizes).length > 1 ? `sizes/${anchorId}` : 'sizes')}
          >
            <DecidedNumber
              path={`${path}/sizes/${anchorId}`}
              name={said('sizes')}
              change={(value) => [
                role.sizes
                  ? { op: 'add', path: `${path}/sizes/${anchorId}`, value }
                  : { op: 'add', path: `${path}/sizes`, value: { [anchorId]: value } },
              ]}
              label={`${role.name} on the ${anchorName(type, anchorId)} screen`}
              hideLabel
              value={sizes[anchorId] ?? sizeAtAnchor(type, anchor, role.place)}
              step={0.5}
              decimals={2}
              unit="px"
              units={PX_UNITS}
            />
          </Own>
        );
      })}
      <Own
        name="line height"
        own={owns('lineHeight')}
        back={back}
        onClear={() => clear('lineHeight')}
      >
        <DecidedNumber
          path={`${path}/lineHeight`}
          name={said('lineHeight')}
          label={`line height of ${role.name}`}
          hideLabel
          value={role.lineHeight ?? lineHeight}
          step={0.05}
          decimals={2}
        />
      </Own>
      <Own
        name="letter spacing"
        own={owns('letterSpacing')}
        back={back}
        onClear={() => clear('letterSpacing')}
      >
        <DecidedNumber
          path={`${path}/letterSpacing`}
          name={said('letterSpacing')}
          label={`letter spacing of ${role.name}`}
          hideLabel
          value={role.letterSpacing ?? letterSpacingOf(px, role.case === 'uppercase')}
          step={0.005}
          decimals={3}
          unit="em"
        />
      </Own>
      <Own name="longest line" own={owns('longest')} back={back} onClear={() => clear('longest')}>
        <DecidedNumber
          path={`${path}/longest`}
          name={said('longest')}
          min={role.longest === undefined ? 0 : undefined}
          change={(value) => [{ op: 'add', path: `${path}/longest`, value: Math.max(10, value) }]}
          label={`longest line of ${role.name}`}
          hideLabel
          value={role.longest ?? 0}
          step={1}
          decimals={0}
          unit={role.longest === undefined ? 'any' : 'char.'}
        />
      </Own>
    </>
  );
}
