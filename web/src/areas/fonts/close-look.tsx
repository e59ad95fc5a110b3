import { firstText } from '@garnish/core/proof/texts';
import type { FontFamily } from '@garnish/core/fonts/family';
import { chosenFaces, faceWords } from '@garnish/core/system/faces';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { useDecided } from '../../system/system-context.ts';
import { previewName, useFace } from '../../ui/use-face.ts';

const DIGITS = '0123456789';
const TIMES = ['06:40', '11:15', '17:11', '19:45', '21:08'];
const CODE = 'if (depth !== 0) { ebb += 1; }';
const CONFUSED = 'Il1| O0o rn m cl d 5S 8B';

interface Widths {
  readonly least: number;
  readonly most: number;
}

/** The widths of the ten digits as the browser sets them, in shares of the em. */
function useDigitWidths(fontFamily: string, weight: number, numeric: string): Widths | undefined {
  const [widths, setWidths] = useState<Widths>();
  useLayoutEffect(() => {
    let gone = false;
    void document.fonts.load(`${weight} 100px ${fontFamily}`, DIGITS).then(() => {
      if (gone) return;
      const probe = document.createElement('span');
      probe.style.cssText = `position:absolute;visibility:hidden;font:${weight} 100px ${fontFamily};font-variant-numeric:${numeric}`;
      document.body.append(probe);
      const measured = Array.from(DIGITS, (digit) => {
        probe.textContent = digit;
        return probe.getBoundingClientRect().width / 100;
      });
      probe.remove();
      setWidths({ least: Math.min(...measured), most: Math.max(...measured) });
    });
    return () => {
      gone = true;
    };
  }, [fontFamily, weight, numeric]);
  return widths;
}

interface ColumnProps {
  readonly family: FontFamily;
  readonly weight: number;
  readonly numeric: 'proportional-nums' | 'tabular-nums';
  readonly words: string;
}

function Column({ family, weight, numeric, words }: ColumnProps) {
  const fontFamily = useFace(family);
  const widths = useDigitWidths(fontFamily, weight, numeric);
  const even = widths && widths.most - widths.least < 0.002;
  return (
    <div>
      <p className="text-quiet">{words}</p>
      <ul
        className="my-1 border-s border-line ps-2 text-xl leading-snug"
        style={{ fontFamily, fontWeight: weight, fontVariantNumeric: numeric }}
      >
        {TIMES.map((time) => (
          <li key={time}>{time}</li>
        ))}
      </ul>
      <p className="figures text-xs text-quiet">
        {widths
          ? even
            ? `every digit ${widths.most.toFixed(3)} em`
            : `digits ${widths.least.toFixed(3)} to ${widths.most.toFixed(3)} em`
          : 'measuring …'}
      </p>
    </div>
  );
}

const ENLARGED = 4;

interface ScreenProps {
  readonly family: FontFamily;
  readonly weight: number;
  readonly sizePx: number;
  readonly density: 1 | 2;
  readonly words: string;
}

/** Words as a screen of that density draws them, each dot enlarged. */
function Screen({ family, weight, sizePx, density, words }: ScreenProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const fontFamily = useFace(family);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !canvas.current) return;
    const font = `${weight} ${sizePx * density}px "${previewName(family.name)}"`;
    let gone = false;
    const { clientWidth } = canvas.current;
    void document.fonts.load(font, words).then(() => {
      if (gone || !canvas.current) return;
      canvas.current.width = Math.floor((clientWidth / ENLARGED) * density);
      canvas.current.height = Math.ceil(sizePx * 1.5 * density);
      const { color, backgroundColor } = getComputedStyle(canvas.current);
      context.fillStyle = backgroundColor;
      context.fillRect(0, 0, canvas.current.width, canvas.current.height);
      context.fillStyle = color;
      context.font = font;
      context.fillText(words, 0, sizePx * 1.1 * density);
    });
    return () => {
      gone = true;
    };
  }, [family.name, weight, sizePx, density, words, fontFamily]);
  return (
    <figure>
      <figcaption className="text-quiet">density {density}</figcaption>
      <canvas
        ref={canvas}
        role="img"
        aria-label={`${words}, as a screen of density ${density} draws it`}
        className="w-full bg-base-100 [image-rendering:pixelated]"
      />
    </figure>
  );
}

/** The faces close up: their figures in a column, letters that are confused, and coarse screens. */
export function CloseLook() {
  const decided = useDecided(['content', 'fonts', 'name'], ['styles']);
  const { fonts, content, name } = decided.document;
  const { styles } = decided.derived;
  const { family, weight } = fonts.roles.text;
  const small = [...styles.values()].toSorted(
    (one, other) => one.size.minRem - other.size.minRem,
  )[0];
  const textFace = useFace(family);
  const sizePx = small ? small.size.minRem * 16 : 13;
  return (
    <div className="grid gap-5">
      <section aria-label="Figures">
        <h3 className="mb-1 font-semibold">Figures of {family.name}</h3>
        <div className="grid grid-cols-2 gap-4">
          <Column family={family} weight={weight} numeric="proportional-nums" words="as set" />
          <Column
            family={family}
            weight={weight}
            numeric="tabular-nums"
            words="tabular asked for"
          />
        </div>
      </section>
      <section aria-label="Letters that are confused">
        <h3 className="mb-1 font-semibold">
          Letters that are confused{' '}
          <span className="figures font-normal text-quiet">{sizePx.toFixed(1)} px</span>
        </h3>
        <p style={{ fontFamily: textFace, fontWeight: weight, fontSize: sizePx }}>{CONFUSED}</p>
      </section>
      <section aria-label="On coarse and fine screens">
        <h3 className="mb-1 font-semibold">On coarse and fine screens</h3>
        {chosenFaces(fonts).map(({ face, narrow, choice }) => (
          <div key={faceWords({ face, narrow })} className="grid grid-cols-2 gap-4">
            {([1, 2] as const).map((density) => (
              <Screen
                key={density}
                family={choice.family}
                weight={choice.weight}
                sizePx={face === 'text' ? sizePx : 18}
                density={density}
                words={
                  {
                    heading: firstText(content, 'h1')?.words ?? name,
                    text: (firstText(content, 'lead') ?? firstText(content, 'body'))?.words ?? name,
                    label: firstText(content, 'label')?.words ?? name,
                    code: firstText(content, 'code')?.words ?? CODE,
                  }[face]
                }
              />
            ))}
          </div>
        ))}
      </section>
    </div>
  );
}
