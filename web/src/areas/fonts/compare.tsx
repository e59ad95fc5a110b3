import { firstText, sectionsOf, type SiteText } from '@garnish/core/proof/texts';
import { nearestWeight } from '@garnish/core/fonts/family';
import { inOrder, type Mode } from '@garnish/core/system/document';
import type { KeptPair } from '@garnish/core/system/keeper';
import { fluidPx } from '@garnish/core/type/fluid';
import { useState } from 'react';
import { useWriting } from '../../proof/use-writing.ts';
import { useDecided } from '../../system/system-context.ts';
import { Choice } from '../../ui/choice.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { useFace } from '../../ui/use-face.ts';

const CONFUSED = 'Il1 O0 rn m';
const WIDTH_PX = 720;

/** A pair or a trio in words. */
export const pairName = ({ heading, text, label }: KeptPair): string =>
  `${heading.name} over ${text.name}${label ? `, labels ${label.name}` : ''}`;

/** Words of the site, changed where they stand; every column shows the same ones. */
const Words = ({ at, children }: { readonly at: string; readonly children: string }) => (
  <span
    data-content={at}
    contentEditable="plaintext-only"
    suppressContentEditableWarning
    spellCheck={false}
    role="textbox"
    aria-label={`Words: ${children}`}
    tabIndex={0}
  >
    {children}
  </span>
);

const Said = ({ text }: { readonly text: SiteText | undefined }) =>
  text?.at !== undefined && <Words at={text.at}>{text.words}</Words>;

interface ColumnProps {
  readonly pair: KeptPair;
  readonly mode: Mode;
  /** What the text face's letters are scaled by, so that all stand equally high. */
  readonly scale: number;
  readonly present: boolean;
}

/** The site's own words in one pair: a heading, a paragraph, a table of times, a button, a caption. */
function Column({ pair, mode, scale, present }: ColumnProps) {
  const decided = useDecided(['content', 'fonts'], ['colors', 'styles']);
  const { content, fonts } = decided.document;
  const { colors, styles } = decided.derived;
  const [table] = sectionsOf(content, 'table');
  const headingFace = useFace(pair.heading);
  const textFace = useFace(pair.text);
  const labelFamily = pair.label ?? pair.heading;
  const labelFace = useFace(labelFamily);
  const color = (role: string): string | undefined => colors.get(role)?.colors[mode];
  const px = (role: string): number => {
    const style = styles.get(role);
    return style ? fluidPx(style.size, WIDTH_PX) : 16;
  };
  const heading = {
    fontFamily: headingFace,
    fontWeight: nearestWeight(pair.heading, fonts.roles.heading.weight),
    fontSynthesis: 'none',
  };
  const text = (role: string) => ({
    fontFamily: textFace,
    fontWeight: nearestWeight(pair.text, fonts.roles.text.weight),
    fontSize: px(role) * scale,
    fontSynthesis: 'none',
  });
  const label = {
    fontFamily: labelFace,
    fontWeight: nearestWeight(labelFamily, styles.get('label')?.weightWanted ?? 600),
    fontSynthesis: 'none',
  };
  const name = pairName(pair);
  return (
    <article
      aria-label={name}
      className="min-w-0 space-y-3 border-e border-line p-4 last:border-e-0"
      style={{ background: color('page'), color: color('text') }}
    >
      <p className="text-xs" style={{ color: color('quiet') }}>
        {name}
        {present && ', the present pair'}
      </p>
      <p style={{ ...heading, fontSize: px('h3'), lineHeight: 1.15 }}>
        <Said text={firstText(content, 'h1')} />
      </p>
      <p style={{ ...text('body'), lineHeight: 1.5 }}>
        <Said text={firstText(content, 'lead') ?? firstText(content, 'body')} />
      </p>
      {table && (
        <table className="w-full tabular-nums" style={text('body')}>
          <tbody>
            {inOrder(table.own.rows)
              .slice(0, 3)
              .map(([id, row]) => (
                <tr key={id}>
                  {table.own.columns.order.slice(0, 3).map((column) => (
                    <td key={column}>
                      <Words at={`${table.path}/rows/items/${id}/${column}`}>
                        {row[column] ?? ''}
                      </Words>
                    </td>
                  ))}
                </tr>
              ))}
          </tbody>
        </table>
      )}
      <p>
        <span
          className="inline-block rounded px-4 py-2"
          style={{
            ...label,
            fontSize: px('label'),
            background: color('action'),
            color: color('action-ink'),
          }}
        >
          <Said text={firstText(content, 'label')} />
        </span>
      </p>
      <p style={{ ...text('small'), color: color('quiet') }}>
        <Said text={firstText(content, 'small')} />
      </p>
      <p style={text('small')}>{CONFUSED}</p>
    </article>
  );
}

interface CompareProps {
  /** The present pair first. */
  readonly pairs: readonly KeptPair[];
  readonly onClose: () => void;
}

/** Up to four pairs side by side on the site's own words, at the same size or the same x-height. */
export function Compare({ pairs, onClose }: CompareProps) {
  const [mode, setMode] = useState<Mode>('light');
  const [page, setPage] = useState<HTMLElement | null>(null);
  useWriting(page ?? undefined, true);
  const [same, setSame] = useState<'size' | 'x-height'>('size');
  const reference = pairs[0]?.text.metrics.xHeight ?? 0.5;
  return (
    <Dialog title="Side by side" wide onClose={onClose}>
      <div className="mb-3 flex flex-wrap items-center gap-x-6">
        <span className="flex items-center gap-2 text-quiet">
          at the same
          <Choice
            label="Compared at the same"
            options={(['size', 'x-height'] as const).map((value) => ({ value, name: value }))}
            value={same}
            onChange={setSame}
          />
        </span>
        <Choice
          label="Theme of the comparison"
          options={(['light', 'dark'] as const).map((value) => ({ value, name: value }))}
          value={mode}
          onChange={setMode}
        />
        <span className="grow text-end text-xs text-quiet">
          click words to change them: Enter takes them, Escape goes back
        </span>
        <button type="button" className="act" onClick={onClose}>
          Done
        </button>
      </div>
      <div
        ref={setPage}
        className="grid auto-cols-fr grid-flow-col border border-line max-md:grid-flow-row"
      >
        {pairs.map((pair, index) => (
          <Column
            key={index}
            pair={pair}
            mode={mode}
            present={index === 0}
            scale={same === 'size' ? 1 : reference / pair.text.metrics.xHeight}
          />
        ))}
      </div>
    </Dialog>
  );
}
