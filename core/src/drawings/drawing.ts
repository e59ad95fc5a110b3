import { escaped } from '../proof/node.ts';
import { remWords, sizeWords, type Box } from '../measures/geometry.ts';
import type { FactUnit } from '../measures/facts.ts';
import { behaviorOf, type Break } from './behavior.ts';
import { MARKER_PX, markersAround, numbered, type Numbered } from './anatomy.ts';
import { MEASURE_KINDS, measuresOf, type Measure, type MeasureKind } from './measures.ts';
import { LABEL, placed, type Moved, type Placed, type Point, type Stroke } from './placing.ts';
import type { Outline, Scene } from './scene.ts';
import { INK, LINE, PAD, path, QUIET, rounded, sheetSvg, text, wrapped } from './svg.ts';

/** What a drawing shows, in this order. */
export const CHAPTERS = ['measures', 'anatomy', 'states', 'widths'] as const;
export type Chapter = (typeof CHAPTERS)[number];

export const TELLS = ['value', 'token', 'both'] as const;
export const SCALES = [1, 2] as const;
export const GROUNDS = ['page', 'white', 'none'] as const;

/** How a drawing is made. */
export interface DrawingChoice {
  readonly chapters: readonly Chapter[];
  readonly kinds: readonly MeasureKind[];
  readonly unit: FactUnit;
  readonly tells: (typeof TELLS)[number];
  /** How large the component is drawn in the chapters of measures and anatomy. */
  readonly scale: (typeof SCALES)[number];
  readonly ground: (typeof GROUNDS)[number];
  /** The places of the things that are measured; all where nothing is said. */
  readonly only?: ReadonlySet<string>;
}

export const USUAL_CHOICE: DrawingChoice = {
  chapters: CHAPTERS,
  kinds: MEASURE_KINDS,
  unit: 'px',
  tells: 'both',
  scale: 1,
  ground: 'page',
};

/** A component as it looks: XHTML that the style of the drawing dresses, and how large it is. */
export interface Picture {
  readonly xhtml: string;
  readonly width: number;
  readonly height: number;
  /** The same as an image, as an address that holds it, for programs that draw no XHTML; none where absent. */
  readonly still?: string;
}

/** What draws XHTML within SVG says so by this. Source: SVG 2, 5.9.3, requiredExtensions. */
const XHTML = 'http://www.w3.org/1999/xhtml';

/** Everything that a drawing is made of. */
export interface Drawable {
  readonly title: string;
  readonly says: string;
  /** What the drawing is of, for its foot: the system, its state, the theme. */
  readonly foot: string;
  readonly scene: Scene;
  readonly picture: Picture;
  readonly states: readonly { readonly name: string; readonly picture: Picture }[];
  readonly widths: readonly {
    readonly px: number;
    readonly scene: Outline;
    readonly picture: Picture;
  }[];
  readonly breaks: readonly Break[];
  /** The color of the page. */
  readonly page: string;
  /** The style of the pictures, with the faces of the drawing itself. */
  readonly css: string;
  /** How far labels were moved, by the keys of their measures. */
  readonly moved: ReadonlyMap<string, Moved>;
}

/** A drawing: its SVG, and where its labels are, to be taken hold of. */
export interface Drawing {
  readonly svg: string;
  readonly width: number;
  readonly height: number;
  readonly labels: readonly { readonly key: string; readonly box: Box; readonly text: string }[];
  /** What it says, for those who do not see it. */
  readonly words: readonly string[];
}

const LEAST_WIDE = 520;

/** A part of a drawing, with what it is drawn in. */
interface Block {
  readonly width: number;
  readonly height: number;
  readonly svg: string;
  readonly labels?: Drawing['labels'];
  readonly words: readonly string[];
}

/** How far the ground of a picture reaches around it, in px. */
const AROUND_PX = 10;

function pictureAt(
  { x, y }: Point,
  { xhtml, width, height, still }: Picture,
  page: string | undefined,
  scale = 1,
): string {
  const ground =
    page === undefined
      ? ''
      : `<rect ${rectOf({ left: -AROUND_PX / scale, top: -AROUND_PX / scale, width: width + (2 * AROUND_PX) / scale, height: height + (2 * AROUND_PX) / scale }, { x, y }, scale)} fill="${escaped(page)}"/>`;
  const object = (asks = ''): string =>
    `<foreignObject${asks} width="${rounded(width)}" height="${rounded(height)}" style="overflow:visible">${xhtml}</foreignObject>`;
  return `${ground}<g transform="translate(${rounded(x)} ${rounded(y)})${scale === 1 ? '' : ` scale(${scale})`}">${
    still === undefined
      ? object()
      : `<switch>${object(` requiredExtensions="${XHTML}"`)}<image width="${rounded(width)}" height="${rounded(height)}" href="${still}"/></switch>`
  }</g>`;
}

const groundOf = ({ page }: Drawable, { ground }: DrawingChoice): string | undefined =>
  ground === 'page' ? page : undefined;

/** A block with room around it, for the grounds of its pictures. */
const within = (block: Block, px: number): Block => ({
  ...block,
  width: block.width + 2 * px,
  height: block.height + px,
  svg: `<g transform="translate(${px} ${px})">${block.svg}</g>`,
});

/** What the rooms of each kind are filled with: told apart without color. */
const PATTERNS = [
  '<defs>',
  '<pattern id="d-inset" width="6" height="6" patternUnits="userSpaceOnUse"><path d="M-1 1l2-2M0 6l6-6M5 7l2-2" stroke="#fff" stroke-width="2" stroke-opacity=".5"/><path d="M-1 1l2-2M0 6l6-6M5 7l2-2" stroke="#111" stroke-opacity=".6" stroke-width=".8"/></pattern>',
  '<pattern id="d-gap" width="5" height="5" patternUnits="userSpaceOnUse"><circle cx="2.5" cy="2.5" r="1.3" fill="#fff" fill-opacity=".6"/><circle cx="2.5" cy="2.5" r=".8" fill="#111" fill-opacity=".8"/></pattern>',
  '<pattern id="d-margin" width="8" height="8" patternUnits="userSpaceOnUse"><path d="M0 4h5M4 0v0" stroke="#fff" stroke-width="2" stroke-opacity=".5"/><path d="M0 4h5" stroke="#111" stroke-opacity=".7" stroke-width=".8"/></pattern>',
  '</defs>',
].join('');

const amount = (px: number, unit: FactUnit): string =>
  unit === 'px' ? sizeWords(px) : remWords(px);

/** The lines of a measure’s label: what it is, and the tokens that make it. */
export function labelLines(
  { kind, words, px, tokens }: Measure,
  { unit, tells }: Pick<DrawingChoice, 'unit' | 'tells'>,
): readonly string[] {
  const what = kind === 'size' ? words : `${kind} ${words}`;
  if (tells === 'token' && tokens.length > 0) return [what, ...tokens];
  const value = `${kind === 'size' ? words : kind} ${amount(px, unit)}${kind === 'size' ? '' : ` ${words}`}`;
  return tells === 'both' ? [value, ...tokens] : [value];
}

function labelSvg({ left, top, width, height }: Box, lines: readonly string[]): string {
  return [
    `<rect x="${rounded(left)}" y="${rounded(top)}" width="${rounded(width)}" height="${rounded(height)}" fill="#fff" stroke="${LINE}" stroke-width=".75"/>`,
    ...lines.map((line, index) =>
      text({ x: left + LABEL.room, y: top + 3 + LABEL.line * index + LABEL.size }, line, {
        size: LABEL.size,
        isMono: true,
        fill: index === 0 ? INK : QUIET,
        weight: index === 0 ? 500 : 400,
        wide: line.length * LABEL.size * LABEL.advance,
      }),
    ),
  ].join('');
}

/** The ends of a measure, across it. */
function ends([from, to]: Stroke): readonly Stroke[] {
  const isUpright = from.x === to.x;
  return [from, to].map(({ x, y }) =>
    isUpright
      ? [
          { x: x - 4, y },
          { x: x + 4, y },
        ]
      : [
          { x, y: y - 4 },
          { x, y: y + 4 },
        ],
  );
}

function rectOf({ left, top, width, height }: Box, { x, y }: Point, scale: number): string {
  return `x="${rounded(x + left * scale)}" y="${rounded(y + top * scale)}" width="${rounded(width * scale)}" height="${rounded(height * scale)}"`;
}

/** How a measure’s line is drawn, so that kinds are told apart without their words. */
const DASHES: Readonly<Record<MeasureKind, string>> = {
  size: '',
  inset: ' stroke-dasharray="5 2"',
  gap: ' stroke-dasharray="1.5 2.5"',
  margin: ' stroke-dasharray="7 2 1.5 2"',
};

/** A measure in px of a drawing that shows the component larger. */
const larger = (measure: Measure, scale: number): Measure => ({
  ...measure,
  from: measure.from * scale,
  to: measure.to * scale,
  edge: measure.edge * scale,
});

/** Where the measures of a component stand in a drawing of it. */
export function placedMeasures(
  { scene, moved }: Pick<Drawable, 'scene' | 'moved'>,
  choice: DrawingChoice,
): Placed {
  const { scale } = choice;
  return placed(
    { width: scene.width * scale, height: scene.height * scale },
    measuresOf(scene, choice.kinds, choice.only).map((measure) => larger(measure, scale)),
    (measure) => ({ lines: labelLines(measure, choice), moved: moved.get(measure.key) }),
  );
}

/** How kinds of measures are drawn, in words: those that a drawing has. */
function legend(kinds: readonly MeasureKind[], at: Point): { svg: string; width: number } {
  const words: Readonly<Record<MeasureKind, string>> = {
    size: 'size, left and below',
    inset: 'inset, the room inside',
    gap: 'gap, the room between',
    margin: 'margin, the room around',
  };
  let { x } = at;
  const svg = kinds
    .map((kind) => {
      const sign =
        kind === 'size'
          ? `<path d="M${rounded(x)} ${at.y - 4}h18M${rounded(x)} ${at.y - 8}v8M${rounded(x + 18)} ${at.y - 8}v8" stroke="${INK}" fill="none"/>`
          : `<rect x="${rounded(x)}" y="${at.y - 10}" width="18" height="11" fill="url(#d-${kind})" stroke="${LINE}" stroke-width=".5"/>`;
      const part = `${sign}${text({ x: x + 24, y: at.y }, words[kind], { size: 11, fill: QUIET })}`;
      x += 24 + words[kind].length * 5.6 + 18;
      return part;
    })
    .join('');
  return { svg, width: x - at.x };
}

function measuresBlock(drawable: Drawable, choice: DrawingChoice): Block {
  const { width, height, origin, measures } = placedMeasures(drawable, choice);
  const { scale } = choice;
  const lines = measures.map(({ measure, line, helpers, leader }) =>
    [
      `<g data-measure="${escaped(measure.key)}" data-px="${measure.px}" fill="none" stroke="${INK}">`,
      `<path d="${path(helpers)}" stroke="${LINE}" stroke-width=".6" stroke-dasharray="1 2"/>`,
      leader ? `<path d="${path([leader])}" stroke="${LINE}" stroke-width=".75"/>` : '',
      `<path d="${path([line])}"${DASHES[measure.kind]}/><path d="${path(ends(line))}"/>`,
      '</g>',
    ].join(''),
  );
  const rooms = measures.flatMap(({ measure: { kind, areas } }) =>
    areas.map((area) => `<rect ${rectOf(area, origin, scale)} fill="url(#d-${kind})"/>`),
  );
  const kinds = MEASURE_KINDS.filter((kind) =>
    measures.some(({ measure }) => measure.kind === kind),
  );
  const says = legend(kinds, { x: 0, y: height + 30 });
  return {
    width: Math.max(width, says.width),
    height: height + 34,
    svg: [
      says.svg,
      pictureAt(origin, drawable.picture, groundOf(drawable, choice), scale),
      ...rooms,
      `<rect ${rectOf({ left: 0, top: 0, width: drawable.scene.width, height: drawable.scene.height }, origin, scale)} fill="none" stroke="${INK}" stroke-width=".75"/>`,
      ...lines,
      ...measures.map((one) => labelSvg(one.label, one.lines)),
    ].join(''),
    labels: measures.map(({ measure, label, lines: words }) => ({
      key: measure.key,
      box: label,
      text: words.join(', '),
    })),
    words: measures.map(({ lines: words }) => words.join(', ')),
  };
}

const FACT_CHARS = 42;
const FACT_LINE = 15;
const WHAT_CHARS = 15;

/** What is told of a thing, in lines of letters of one width. */
function factLines({ thing: { facts } }: Numbered, { tells }: DrawingChoice): readonly string[] {
  return facts.flatMap(({ what, value, tokens }) => {
    const said =
      tells === 'token' && tokens.length > 0
        ? tokens.join(' ')
        : [value, ...(tells === 'both' ? tokens : [])].join('  ');
    const most = FACT_CHARS - WHAT_CHARS;
    return wrapped(said, most).map(
      (line, index) => `${(index === 0 ? what : '').padEnd(WHAT_CHARS)}${line}`,
    );
  });
}

/** Blocks in columns of one width, each put where there is most room. */
function inColumns(blocks: readonly Block[], columnWide: number, wide: number): Block {
  const count = Math.max(1, Math.floor((wide + PAD) / (columnWide + PAD)));
  const highs = Array.from({ length: count }, () => 0);
  const parts = blocks.map(({ svg, height }) => {
    const column = highs.indexOf(Math.min(...highs));
    const y = highs[column] ?? 0;
    highs[column] = y + height + 14;
    return `<g transform="translate(${column * (columnWide + PAD)} ${rounded(y)})">${svg}</g>`;
  });
  return {
    width: count * (columnWide + PAD) - PAD,
    height: Math.max(0, ...highs),
    svg: parts.join(''),
    words: blocks.flatMap(({ words }) => words),
  };
}

const scaled = ({ left, top, width, height }: Box, scale: number): Box => ({
  left: left * scale,
  top: top * scale,
  width: width * scale,
  height: height * scale,
});

function anatomyBlock(drawable: Drawable, choice: DrawingChoice, wide: number): Block {
  const { scene, picture } = drawable;
  const { scale } = choice;
  const size = { width: scene.width * scale, height: scene.height * scale };
  const all = numbered(scene);
  const markers = markersAround(
    size,
    all.map(({ number, thing }) => ({
      number,
      thing: {
        ...thing,
        box: scaled(thing.box, scale),
        ...(thing.words && { words: scaled(thing.words, scale) }),
      },
    })),
  );
  const half = MARKER_PX / 2;
  const edges = markers.flatMap(({ center: { x, y } }) => [
    { x: x - half, y: y - half },
    { x: x + half, y: y + half },
  ]);
  const around = choice.ground === 'page' ? AROUND_PX : 0;
  const left = Math.floor(Math.min(-around, ...edges.map(({ x }) => x)));
  const top = Math.floor(Math.min(-around, ...edges.map(({ y }) => y)));
  const width = Math.ceil(Math.max(size.width + around, ...edges.map(({ x }) => x))) - left;
  const height = Math.ceil(Math.max(size.height + around, ...edges.map(({ y }) => y))) - top;
  const origin = { x: -left, y: -top };
  const drawn = markers.map(({ number, center, leader: [from, to] }) => {
    const at = { x: center.x + origin.x, y: center.y + origin.y };
    const stroke: Stroke = [
      { x: from.x + origin.x, y: from.y + origin.y },
      { x: to.x + origin.x, y: to.y + origin.y },
    ];
    return [
      `<path d="${path([stroke])}" stroke="#fff" stroke-width="2.5" stroke-opacity=".7"/>`,
      `<path d="${path([stroke])}" stroke="${INK}"/>`,
      `<rect x="${rounded(stroke[1].x - 2)}" y="${rounded(stroke[1].y - 2)}" width="4" height="4" fill="${INK}" stroke="#fff"/>`,
      `<rect x="${rounded(at.x - half)}" y="${rounded(at.y - half)}" width="${MARKER_PX}" height="${MARKER_PX}" fill="${INK}"/>`,
      text({ x: at.x, y: at.y + 4 }, String(number), {
        size: 11,
        weight: 600,
        fill: '#fff',
        isMono: true,
        anchor: 'middle',
      }),
    ].join('');
  });
  const list = inColumns(
    all.map((one): Block => {
      const lines = factLines(one, choice);
      return {
        width: 0,
        height: 20 + lines.length * FACT_LINE,
        words: [
          `${one.number} ${one.thing.name}`,
          ...lines.map((line) => line.replaceAll(/ +/g, ' ')),
        ],
        svg: [
          text({ x: 0, y: 13 }, String(one.number), { size: 11, weight: 600, isMono: true }),
          text({ x: 22, y: 13 }, one.thing.name, { weight: 600 }),
          ...lines.map((line, index) =>
            text({ x: 22, y: 30 + index * FACT_LINE }, line, {
              size: LABEL.size,
              isMono: true,
              fill: QUIET,
              wide: line.length * LABEL.size * LABEL.advance,
            }),
          ),
        ].join(''),
      };
    }),
    22 + Math.ceil(FACT_CHARS * LABEL.size * LABEL.advance),
    Math.max(wide, width),
  );
  return {
    width: Math.max(width, list.width),
    height: height + 24 + list.height,
    svg: `${pictureAt(origin, picture, groundOf(drawable, choice), scale)}${drawn.join('')}<g transform="translate(0 ${height + 24})">${list.svg}</g>`,
    words: list.words,
  };
}

/** Pictures beside each other, in rows, each with its name below. */
function statesBlock(drawable: Drawable, choice: DrawingChoice, wide: number): Block {
  const { states } = drawable;
  const ground = groundOf(drawable, choice);
  const parts: string[] = [];
  let [x, y, high, most] = [0, 0, 0, 0];
  for (const { name, picture } of states) {
    const own = Math.max(picture.width, name.length * 6.6 + 8);
    if (x > 0 && x + own > wide) {
      x = 0;
      y += high;
      high = 0;
    }
    parts.push(
      pictureAt({ x, y }, picture, ground),
      text({ x, y: y + picture.height + 20 }, name, { size: 12, fill: QUIET }),
    );
    x += own + PAD;
    high = Math.max(high, picture.height + 44);
    most = Math.max(most, x - PAD);
  }
  return {
    width: most,
    height: y + high,
    svg: parts.join(''),
    words: [`in its states: ${states.map(({ name }) => name).join(', ')}`],
  };
}

/** Wider than this nothing is drawn from narrow to wide: all of it is made smaller, in px. */
const MOST_WIDE = 720;

/** How large the forms of a thing are drawn beside each other. */
const scaleOfWidths = ({ widths }: Pick<Drawable, 'widths'>): number =>
  Math.min(1, MOST_WIDE / Math.max(MOST_WIDE, ...widths.map(({ px }) => px)));

function widthsBlock(drawable: Drawable, choice: DrawingChoice, wide: number): Block {
  const { widths, breaks } = drawable;
  const ground = groundOf(drawable, choice);
  const scale = scaleOfWidths(drawable);
  const drawnAt = scale === 1 ? '' : `, drawn at ${Math.round(scale * 100)} %`;
  const parts: string[] = [];
  let y = 0;
  for (const { px, picture } of widths) {
    const line: Stroke = [
      { x: 0, y: y + 18 },
      { x: px * scale, y: y + 18 },
    ];
    parts.push(
      text({ x: 0, y: y + 11 }, `${sizeWords(px)} px${drawnAt}`, {
        size: LABEL.size,
        isMono: true,
      }),
      `<path d="${path([line, ...ends(line)])}" stroke="${INK}" fill="none"/>`,
      pictureAt({ x: 0, y: y + 34 }, picture, ground, scale),
    );
    y += 34 + picture.height * scale + 30;
  }
  const most = Math.max(0, ...widths.map(({ px, picture }) => Math.max(px, picture.width) * scale));
  const words = behaviorOf(
    widths.map(({ scene }) => scene),
    breaks,
  );
  const lines = words.flatMap((said) => wrapped(said, Math.floor(Math.max(wide, most) / 6.4)));
  for (const line of lines) {
    parts.push(text({ x: 0, y: y + 12 }, line, { fill: INK }));
    y += 19;
  }
  return { width: most, height: y, svg: parts.join(''), words };
}

const HEADS: Readonly<Record<Chapter, string>> = {
  measures: 'Measures',
  anatomy: 'Parts',
  states: 'States',
  widths: 'From narrow to wide',
};

/**
 * Draws a component with its measures, its numbered parts, its states and its behavior over width, as SVG that needs
 * nothing beside it. The picture of the component itself is XHTML inside (`foreignObject`), which browsers draw; where it
 * has a still image as well, other programs draw that.
 */
export function drawingOf(drawable: Drawable, choice: DrawingChoice = USUAL_CHOICE): Drawing {
  const { title, says, foot, css } = drawable;
  const chapters = CHAPTERS.filter(
    (chapter) =>
      choice.chapters.includes(chapter) &&
      (chapter !== 'states' || drawable.states.length > 1) &&
      (chapter !== 'widths' || drawable.widths.length > 1),
  );
  const inset = choice.ground === 'page' ? AROUND_PX : 0;
  const measures = chapters.includes('measures') ? [measuresBlock(drawable, choice)] : [];
  const wide = Math.max(
    LEAST_WIDE,
    ...measures.map((block) => block.width),
    ...(chapters.includes('widths')
      ? drawable.widths.map(({ px }) => px * scaleOfWidths(drawable) + 2 * inset)
      : []),
  );
  const made: Readonly<Record<Chapter, () => readonly Block[]>> = {
    measures: () => measures,
    anatomy: () => [anatomyBlock(drawable, choice, wide - 2 * inset)],
    states: () => [within(statesBlock(drawable, choice, wide - 2 * inset), inset)],
    widths: () => [within(widthsBlock(drawable, choice, wide - 2 * inset), inset)],
  };
  const blocks = chapters.flatMap((chapter) =>
    made[chapter]().map((block) => [chapter, block] as const),
  );
  const width = Math.ceil(Math.max(wide, ...blocks.map(([, block]) => block.width))) + 2 * PAD;
  const saidLines = wrapped(says, Math.floor((width - 2 * PAD) / 6.4));
  const parts: string[] = [text({ x: PAD, y: PAD + 20 }, title, { size: 22, weight: 600 })];
  saidLines.forEach((line, index) =>
    parts.push(text({ x: PAD, y: PAD + 44 + index * 18 }, line, { fill: QUIET })),
  );
  let y = PAD + 44 + saidLines.length * 18;
  const labels: Drawing['labels'][number][] = [];
  const words: string[] = [];
  for (const [chapter, block] of blocks) {
    y += 16;
    parts.push(
      `<path d="M${PAD} ${y}H${width - PAD}" stroke="${LINE}" stroke-width=".75"/>`,
      text({ x: PAD, y: y + 20 }, HEADS[chapter], { weight: 600 }),
    );
    y += 44;
    parts.push(`<g transform="translate(${PAD} ${rounded(y)})">${block.svg}</g>`);
    const top = y;
    labels.push(
      ...(block.labels ?? []).map(({ box, ...one }) => ({
        ...one,
        box: { ...box, left: box.left + PAD, top: box.top + top },
      })),
    );
    words.push(`${HEADS[chapter]}:`, ...block.words);
    y += block.height;
  }
  const height = Math.ceil(y + 24 + PAD);
  parts.push(
    text({ x: PAD, y: height - PAD + 6 }, foot, { size: LABEL.size, isMono: true, fill: QUIET }),
  );
  const paper =
    choice.ground === 'none' ? '' : `<rect width="${width}" height="${height}" fill="#fff"/>`;
  const svg = sheetSvg({
    ...{ title, css, width, height },
    desc: [says, ...words].join('\n'),
    parts: [PATTERNS, paper, ...parts],
  });
  return { svg, width, height, labels, words };
}
