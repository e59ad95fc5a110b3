import { judge, ratioText, sizesText } from '@garnish/core/checks/judge';
import type { TextPair } from '@garnish/core/derive/derived';
import { adding, removing } from '@garnish/core/system/collection';
import { inOrder, type Mode } from '@garnish/core/system/document';
import { Plus, X } from 'lucide-react';
import { useModes, useProofTheme } from '../../system/proof-theme.ts';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';
import { useFace } from '../../ui/use-face.ts';
import { RoleSelect } from './role-select.tsx';

function Sample({ pair, mode }: { readonly pair: TextPair; readonly mode: Mode }) {
  const { style, color, on, part } = pair;
  const fontFamily = useFace(style.family);
  return (
    <span
      aria-hidden
      className={`grid h-7 w-9 place-items-center text-lg ${part === 'link' ? 'underline' : ''}`}
      style={{
        background: on.colors[mode],
        color: color.colors[mode],
        fontFamily,
        fontWeight: style.weight,
      }}
    >
      Ag
    </span>
  );
}

const GRID =
  'grid grid-cols-[2.25rem_minmax(0,1fr)_2.9rem_2.9rem_1.6rem_1.5rem] gap-x-1.5 @max-[26rem]:gap-x-1';

/** Which text stands in which color on which surface, and whether it can be read there. */
export function Pairs() {
  const store = useStore();
  const decided = useDecided(['color', 'type'], ['needs', 'pairs']);
  const proofTheme = useProofTheme();
  const modes = useModes();
  const { color, type } = decided.document;
  const needs = new Map(decided.derived.needs.map((need) => [need.id, need]));
  const roles = inOrder(color.roles);
  const styles = inOrder(type.roles);

  const set = (id: string, end: 'text' | 'color' | 'on' | 'part', value: string): void => {
    store.change(
      [{ op: 'replace', path: `/color/texts/items/${id}/${end}`, value }],
      `pair in use`,
    );
  };
  const add = (): void => {
    const [text] = styles[0] ?? [];
    const [first] = roles[0] ?? [];
    const ink = roles[2]?.[0] ?? first;
    if (text === undefined || first === undefined || ink === undefined) return;
    const id = `use-${crypto.randomUUID().slice(0, 8)}`;
    store.change(
      adding('/color/texts', color.texts, id, { text, part: 'words', color: ink, on: first }),
      'another pair in use',
    );
  };
  const remove = (id: string): void => {
    store.change(removing('/color/texts', color.texts, id), 'pair no longer in use');
  };

  return (
    <div>
      {decided.derived.pairs.map((pair) => {
        const { id, part } = pair;
        const need = needs.get(id);
        const judged = need ? modes.map((mode) => judge(need, mode)) : [];
        const use = color.texts.items[id];
        if (!use) return null;
        const what = need?.what ?? pair.style.name;
        return (
          <div
            key={id}
            role="group"
            aria-label={`${what} in ${pair.color.name} on ${pair.on.name}`}
            data-decision={`/color/texts/items/${id}`}
            className="border-t border-line py-0.5"
          >
            <div className={`${GRID} items-center`}>
              <Sample pair={pair} mode={proofTheme} />
              <span className="flex min-w-0 items-center gap-1 @max-[26rem]:flex-wrap">
                {part !== 'words' && (
                  <span className="shrink-0 font-semibold">
                    {{ link: 'link in', visited: 'visited in', button: 'button in' }[part]}
                  </span>
                )}
                <TrySelect
                  aria-label={`Text of ${what}`}
                  className="bare select min-w-12 font-semibold"
                  value={use.text}
                  onChange={(event) => set(id, 'text', event.currentTarget.value)}
                >
                  {styles.map(([key, { name }]) => (
                    <option key={key} value={key}>
                      {name}
                    </option>
                  ))}
                </TrySelect>
              </span>
              {judged.map(({ mode, ratio, passes }) => (
                <span
                  key={mode}
                  className={`figures text-end ${passes ? '' : 'font-bold text-error'}`}
                  title={`${mode}: ${passes ? 'passes' : 'falls short'}`}
                >
                  {ratioText(ratio)}
                  {!passes && <span className="sr-only"> falls short in {mode}</span>}
                </span>
              ))}
              <span
                className="figures text-end text-quiet"
                title={judged[0]?.large ? 'large text' : 'text of ordinary size'}
              >
                {judged[0]?.needed}
              </span>
              <button
                type="button"
                className="grid h-7 w-6 place-items-center text-quiet hover:text-base-content"
                aria-label={`Remove ${what} in ${pair.color.name} on ${pair.on.name}`}
                onClick={() => remove(id)}
              >
                <X size={12} aria-hidden />
              </button>
            </div>
            <div className="ms-[2.625rem] flex min-w-0 items-center gap-x-1.5 text-xs">
              {(['color', 'on'] as const).map((end) => (
                <span key={end} className="contents">
                  {end === 'on' && <span className="text-quiet">on</span>}
                  <RoleSelect
                    bare
                    className="w-[5.25rem] text-xs"
                    label={end === 'on' ? `Surface under ${what}` : `Color of ${what}`}
                    value={use[end]}
                    onChange={(next) => set(id, end, next)}
                  />
                </span>
              ))}
              <span className="grow truncate text-end text-quiet">
                {judged[0] && sizesText(judged[0])}
              </span>
            </div>
          </div>
        );
      })}
      <button type="button" className="act mt-2 gap-1" onClick={add}>
        <Plus size={13} aria-hidden /> Another use
      </button>
    </div>
  );
}
