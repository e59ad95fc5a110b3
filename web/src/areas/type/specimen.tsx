import { firstText } from '@garnish/core/proof/texts';
import type { TextStyle } from '@garnish/core/derive/derived';
import { inOrder, type StyleDocument } from '@garnish/core/system/document';
import { useDecidedLater } from '../../system/system-context.ts';
import { valueAt } from '@garnish/core/system/patch';
import { fluidPx } from '@garnish/core/type/fluid';
import { useState } from 'react';
import { usePreferences } from '../../ui/preferences.ts';
import { useWriting } from '../../proof/use-writing.ts';
import { useFace } from '../../ui/use-face.ts';

/** Where words for a role stand: the first that are set in it, or else the name of the site. */
const wordsFor = ({ content }: Pick<StyleDocument, 'content'>, role: string): string =>
  firstText(content, role)?.at ?? firstText(content, 'lead')?.at ?? '/name';

interface LineProps {
  readonly style: TextStyle;
  readonly words: string;
  readonly at: string;
  readonly widthPx: number;
}

function Line({ style, words, at, widthPx }: LineProps) {
  const fontFamily = useFace(style.family);
  return (
    <li className="grid grid-cols-[4rem_minmax(0,1fr)] items-baseline gap-x-2 border-b border-line py-1">
      <span className="truncate text-xs text-quiet">{style.name}</span>
      <span
        data-content={at}
        contentEditable="plaintext-only"
        suppressContentEditableWarning
        spellCheck={false}
        role="textbox"
        tabIndex={0}
        aria-label={`Words in ${style.name}`}
        className="line-clamp-3 overflow-hidden"
        style={{
          fontFamily,
          fontWeight: style.weight,
          fontSize: fluidPx(style.size, widthPx),
          lineHeight: style.lineHeight,
          letterSpacing: `${style.letterSpacing}em`,
          fontSynthesis: 'none',
        }}
      >
        {words}
      </span>
    </li>
  );
}

/** The site's own words in every role, at the sizes of the proof's width; changed where they stand. */
export function Specimen() {
  const { proofWidth } = usePreferences();
  const [list, setList] = useState<HTMLElement | null>(null);
  useWriting(list ?? undefined, true);
  const { document, derived } = useDecidedLater(['content', 'name', 'type'], ['styles']);
  return (
    <ul ref={setList} aria-label="The site’s words in every role">
      {inOrder(document.type.roles).map(([id]) => {
        const style = derived.styles.get(id);
        const at = wordsFor(document, id);
        const words = valueAt(document, at);
        return style ? (
          <Line
            key={id}
            style={style}
            at={at}
            words={typeof words === 'string' ? words : ''}
            widthPx={proofWidth}
          />
        ) : null;
      })}
    </ul>
  );
}
