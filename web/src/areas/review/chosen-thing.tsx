import { contrastRatio } from '@garnish/core/color/contrast';
import { isHex, type Hex } from '@garnish/core/color/srgb';
import { colorName, uniqueName } from '@garnish/core/color/names';
import { sizeWords } from '@garnish/core/measures/geometry';
import { colorWords, groundSeen, type SeenElement } from '@garnish/core/reading/seen';
import { adding } from '@garnish/core/system/collection';
import { inOrder } from '@garnish/core/system/document';
import { useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Copy } from '../../ui/copy.tsx';

/** What is told of one thing of the page, line by line. */
function factsOfSeen(one: SeenElement): readonly (readonly [what: string, value: string])[] {
  const px = (values: readonly number[]): string =>
    new Set(values).size === 1 ? sizeWords(values[0] ?? 0) : values.map(sizeWords).join(' ');
  const ground = one.isOverPicture ? undefined : groundSeen(one.grounds);
  const color = ground && groundSeen([one.color, ground]);
  const isSome = (values: readonly number[]): boolean => values.some((value) => value !== 0);
  const own = one.hasOwnGround ? colorWords(one.grounds[0] ?? '') : undefined;
  return [
    ['size', `${sizeWords(one.box.width)} × ${sizeWords(one.box.height)}`],
    ...(one.signs > 0
      ? ([
          ['face', `${one.face} ${one.weight}`],
          [
            'text size',
            `${sizeWords(one.sizePx)}${one.lineHeightPx === undefined ? '' : ` / ${sizeWords(one.lineHeightPx)}`}`,
          ],
          ['color', colorWords(one.color) ?? one.color],
          [
            'contrast',
            color && ground
              ? `${(Math.floor(contrastRatio(color, ground) * 100) / 100).toFixed(2)} on ${ground}`
              : 'over a picture or a gradient: not told',
          ],
        ] as const)
      : []),
    ...(own === undefined ? [] : ([['ground', own]] as const)),
    ...(isSome(one.padding) ? ([['inset', px(one.padding)]] as const) : []),
    ...(isSome(one.margin) ? ([['margin', px(one.margin)]] as const) : []),
    ...(isSome(one.gap) ? ([['gap', px(one.gap)]] as const) : []),
    ...(isSome(one.corners) ? ([['corner', px(one.corners)]] as const) : []),
    ...(one.shadow === '' ? [] : ([['shadow', one.shadow]] as const)),
    ...(one.picture === '' ? [] : ([['behind it', one.picture.slice(0, 120)]] as const)),
  ];
}

/** Takes a color of the page as one of the system, where it is none yet. */
function TakeColor({ hex, of }: { readonly hex: Hex; readonly of: string }) {
  const store = useStore();
  const sources = useSystem(({ decided }) => decided.document.color.sources);
  const known = inOrder(sources).find(([, { value }]) => value === hex)?.[1];
  if (known) return <span className="text-quiet">{known.name}</span>;
  return (
    <button
      type="button"
      className="act"
      title="It becomes a color of the brand, with a ramp of its own"
      onClick={() =>
        store.change(
          adding('/color/sources', sources, `color-${crypto.randomUUID().slice(0, 8)}`, {
            name: uniqueName(colorName(hex), new Set(inOrder(sources).map(([, { name }]) => name))),
            value: hex,
          }),
          `${hex} from ${of} of a page`,
        )
      }
    >
      take it
    </button>
  );
}

/** One thing of the page in words, beside it. */
export function ChosenThing({ one }: { readonly one: SeenElement }) {
  const facts = factsOfSeen(one);
  const hasColor = facts.some(([, value]) => isHex(value));
  return (
    <Section
      full
      title="What is chosen"
      aside={
        <Copy text={facts.map(([what, value]) => `${what}: ${value}`).join('\n')}>copy all</Copy>
      }
    >
      <p className="figures font-semibold">{one.name}</p>
      <table className="w-full">
        <tbody>
          {facts.map(([what, value]) => (
            <tr key={what} className="border-t border-line">
              <th scope="row" className="w-24 text-start align-top font-normal text-quiet">
                {what}
              </th>
              <td className="figures text-end break-words">{value}</td>
              {hasColor && (
                <td className="w-20 ps-2 text-end">
                  {isHex(value) && <TakeColor hex={value} of={one.name} />}
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </Section>
  );
}
