import { escaped } from '../proof/node.ts';
import type { Derived } from '../derive/derived.ts';
import { sizeWords } from '../measures/geometry.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { fluidPx } from '../type/fluid.ts';
import type { Drawing } from './drawing.ts';
import { LABEL } from './placing.ts';
import { INK, LINE, PAD, QUIET, rounded, sheetSvg, text, wrapped } from './svg.ts';

const WIDE = 640;
const ROW = 22;
/** The longest bar, in px of the drawing. */
const LONGEST_PX = 360;
const NAME_WIDE = 120;
/** A name as far as there is room; all of it stands in the description. */
const short = (name: string): string => (name.length > 17 ? `${name.slice(0, 16)}…` : name);

/** How drawings are read, in a few lines. */
const READING = [
  'Steps are lengths; roles of space say what a step is for. A measure that names a role follows it when the step changes.',
  'Sizes stand left and below of what is measured; the room inside, between and around stands right and above, each with a pattern of its own.',
  'A name with points, such as card.inset, is a token: in code it is a custom property of that name.',
];

/**
 * One page that explains how a system is spaced and set: its steps as bars, the roles of space with what each is, the
 * text roles with their sizes at the anchors, and how drawings are read.
 * @param css the faces of the drawing itself
 */
export function approachOf(
  document: StyleDocument,
  derived: Pick<Derived, 'steps' | 'spaces' | 'styles'>,
  css: string,
): Pick<Drawing, 'svg' | 'width' | 'height' | 'words'> {
  const title = `The approach of ${document.name}`;
  const parts: string[] = [];
  const words: string[] = [];
  let y = PAD;
  const say = (line: string): void => {
    words.push(line);
  };
  const head = (heading: string, says: string): void => {
    parts.push(
      `<path d="M${PAD} ${rounded(y)}H${PAD + WIDE}" stroke="${LINE}" stroke-width=".75"/>`,
      text({ x: PAD, y: y + 20 }, heading, { weight: 600 }),
    );
    y += 20;
    say(`${heading}: ${says}`);
    for (const line of wrapped(says, Math.floor(WIDE / 6.4))) {
      y += 18;
      parts.push(text({ x: PAD, y }, line, { fill: QUIET }));
    }
    y += 14;
  };
  const mono = (x: number, line: string, isQuiet = true): void => {
    parts.push(
      text({ x, y: y + 14 }, line, {
        size: LABEL.size,
        isMono: true,
        fill: isQuiet ? QUIET : INK,
        wide: line.length * LABEL.size * LABEL.advance,
      }),
    );
  };
  for (const line of wrapped(title, 44)) {
    parts.push(text({ x: PAD, y: y + 20 }, line, { size: 22, weight: 600 }));
    y += 28;
  }
  y += 14;

  head('Steps', `Every length is a multiple of a unit of ${sizeWords(document.space.unit)} px.`);
  const steps = [...derived.steps.values()];
  const scale = Math.min(1, LONGEST_PX / Math.max(1, ...steps.map(({ px }) => px)));
  for (const { id, name, px } of steps) {
    parts.push(
      text({ x: PAD, y: y + 14 }, short(name)),
      `<rect data-step="${escaped(id)}" x="${PAD + NAME_WIDE}" y="${rounded(y + 4)}" width="${rounded(px * scale)}" height="12" fill="${INK}"/>`,
    );
    mono(PAD + NAME_WIDE + px * scale + 10, sizeWords(px));
    say(`${name} ${sizeWords(px)}`);
    y += ROW;
  }
  if (scale < 1) say(`bars at ${Math.round(scale * 100)} % of their length`);
  y += 18;

  head('Roles of space', 'What each step is for; where screens are wider, some become another.');
  for (const { name, use, inline, block, apart } of derived.spaces.values()) {
    const is = (length: typeof inline): string =>
      [
        length.value.css ?? '',
        ...length.from.map(({ fromPx, value }) => `${value.css ?? ''} from ${fromPx} px`),
      ].join(', then ');
    const told = apart ? `${is(inline)}; ${is(block)} along the block axis` : is(inline);
    parts.push(text({ x: PAD, y: y + 14 }, short(name)));
    parts.push(text({ x: PAD + NAME_WIDE, y: y + 14 }, use, { fill: QUIET }));
    say(`${name}, ${use}: ${told}`);
    for (const line of wrapped(told, 62)) {
      mono(PAD + NAME_WIDE + 90, line);
      y += 15;
    }
    y += ROW - 15;
  }
  y += 18;

  const anchors = inOrder(document.type.anchors).map(([, { width }]) => width);
  head(
    'Text roles',
    `Size over line height in px, at screens of ${anchors.map((width) => `${width} px`).join(', ')}; between them they flow.`,
  );
  for (const style of derived.styles.values()) {
    const sizes = anchors.map((width) => {
      const size = fluidPx(style.size, width);
      return `${sizeWords(size)}/${sizeWords(size * style.lineHeight)}`;
    });
    parts.push(text({ x: PAD, y: y + 14 }, short(style.name)));
    parts.push(
      text({ x: PAD + NAME_WIDE, y: y + 14 }, `${style.family.name} ${style.weight}`, {
        fill: QUIET,
      }),
    );
    mono(PAD + NAME_WIDE + 200, sizes.join('   '), false);
    say(`${style.name}, ${style.family.name} ${style.weight}: ${sizes.join(', ')}`);
    y += ROW;
  }
  y += 18;

  head('How drawings are read', READING.join(' '));
  const width = WIDE + 2 * PAD;
  const height = Math.ceil(y + PAD);
  return {
    width,
    height,
    words,
    svg: sheetSvg({
      ...{ title, css, width, height },
      desc: words.join('\n'),
      parts: [`<rect width="${width}" height="${height}" fill="#fff"/>`, ...parts],
    }),
  };
}
