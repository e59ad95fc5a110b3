import { contrastRatio } from '@garnish/core/color/contrast';
import { sizeWords } from '@garnish/core/measures/geometry';
import { colorWords, groundSeen, type SeenElement } from '@garnish/core/reading/seen';
import { takingsOf, type Taking } from '@garnish/core/reading/takings';
import type { FontFamily } from '@garnish/core/fonts/family';
import useSWR from 'swr';
import { get } from '../../api/client.ts';
import { familyList } from '../../api/resources.ts';
import { useDecided, useStore } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Copy } from '../../ui/copy.tsx';

const NONE: readonly FontFamily[] = [];

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

/** What of the thing can be decided in the system, fact by fact. */
function useTakings(one: SeenElement): readonly Taking[] {
  const { document, derived } = useDecided(['fonts', 'type', 'color', 'space', 'shape'], ['steps']);
  const { data: catalogue = NONE } = useSWR('/api/fonts', (path: string) => get(path, familyList));
  return takingsOf(one, { document, steps: derived.steps.values(), catalogue });
}

/** One thing of the page in words, beside it. */
export function ChosenThing({ one }: { readonly one: SeenElement }) {
  const facts = factsOfSeen(one);
  const store = useStore();
  const takings = useTakings(one);
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
              <td className="w-32 ps-3 text-end align-top">
                {takings
                  .filter(
                    ({ of, patch }) =>
                      // What lies outside of what can be decided is not offered.
                      of === what && !(patch && store.problemOf(patch('read-tried')) !== undefined),
                  )
                  .map(({ name, patch }) =>
                    patch ? (
                      <button
                        key={name}
                        type="button"
                        className="act block w-full text-end"
                        aria-label={`Take ${what} ${name}`}
                        onClick={() =>
                          store.change(
                            patch(`read-${crypto.randomUUID().slice(0, 8)}`),
                            `${what} of ${one.name} ${name}`,
                          )
                        }
                      >
                        {name}
                      </button>
                    ) : (
                      <span key={name} className="block text-quiet" title="The system has it">
                        {name}
                      </span>
                    ),
                  )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Section>
  );
}
