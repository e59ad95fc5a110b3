import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import type { IconDrawing } from '@garnish/core/icons/drawing';
import type { IconMeasures } from '@garnish/core/icons/measure';
import { readMeasures } from '@garnish/core/icons/measured-line';
import { readIcon } from '@garnish/core/icons/read-svg';
import * as z from 'zod';

const require = createRequire(import.meta.url);

/** Icons of one set that are drawn alike, told by how their names end. */
interface StyleOfSet {
  readonly ending: string;
  readonly name: string;
}

/**
 * The sets that ship, each with its styles, those with the longest ending first. Only licenses that are carried by
 * a short text (MIT, ISC), and no set
 * that has signs of brands without saying so.
 */
const SHIPPED: readonly { readonly id: string; readonly styles: readonly StyleOfSet[] }[] = [
  { id: 'lucide', styles: [{ ending: '', name: 'outlined' }] },
  {
    id: 'tabler',
    styles: [
      { ending: '-filled', name: 'filled' },
      { ending: '', name: 'outlined' },
    ],
  },
  {
    id: 'ph',
    styles: [
      { ending: '-duotone', name: 'two-toned' },
      { ending: '-light', name: 'light' },
      { ending: '-thin', name: 'thin' },
      { ending: '-bold', name: 'bold' },
      { ending: '-fill', name: 'filled' },
      { ending: '', name: 'regular' },
    ],
  },
  {
    id: 'heroicons',
    styles: [
      { ending: '-20-solid', name: 'filled, small' },
      { ending: '-16-solid', name: 'filled, smallest' },
      { ending: '-solid', name: 'filled' },
      { ending: '', name: 'outlined' },
    ],
  },
  { id: 'radix-icons', styles: [{ ending: '', name: 'outlined' }] },
  { id: 'duo-icons', styles: [{ ending: '', name: 'two-toned' }] },
];

export const SET_IDS = SHIPPED.map(({ id }) => id);

const sideSchema = z.number().min(1).max(4096).optional();
const iconSchema = z.object({
  body: z.string(),
  width: sideSchema,
  height: sideSchema,
  left: z.number().optional(),
  top: z.number().optional(),
});
/** Of thousands of icons each is checked when it is drawn: all at once would take a third of a second. */
const fileSchema = z.object({
  icons: z.custom<Readonly<Record<string, unknown>>>(isRecord),
  aliases: z.custom<Readonly<Record<string, unknown>>>(isRecord).optional(),
  width: sideSchema,
  height: sideSchema,
});
const infoSchema = z.object({
  name: z.string(),
  author: z.object({ name: z.string(), url: z.string().optional() }),
  license: z.object({ title: z.string(), spdx: z.string(), url: z.string() }),
});

type IconFile = z.infer<typeof fileSchema>;

function isRecord(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

export interface ShippedIcon {
  readonly set: string;
  /** Its name in the set, unique there. */
  readonly name: string;
  readonly style: string;
  /** Its name without what tells the style. */
  readonly plain: string;
  /** Other names that the set knows it by. */
  readonly also: readonly string[];
}

export interface IconSet {
  readonly id: string;
  readonly name: string;
  readonly author: string;
  readonly license: { readonly title: string; readonly spdx: string; readonly url: string };
  readonly icons: readonly ShippedIcon[];
  readonly drawing: (name: string) => IconDrawing | undefined;
  readonly measures: ReadonlyMap<string, IconMeasures>;
}

const read = <Schema extends z.ZodType>(name: string, schema: Schema): z.infer<Schema> =>
  schema.parse(JSON.parse(readFileSync(require.resolve(name), 'utf8')));

const fileOf = (id: string): IconFile => read(`@iconify-json/${id}/icons.json`, fileSchema);

const styleOf = (styles: readonly StyleOfSet[], name: string): StyleOfSet | undefined =>
  styles.find(({ ending }) => name.endsWith(ending));

/** Whether a set says of an icon that it is the sign of a brand; those are not ours to give away. */
const isBrand = (name: string): boolean => name.startsWith('brand-') || /-logo(-|$)/.test(name);

function setOf({ id, styles }: (typeof SHIPPED)[number], file: IconFile): IconSet {
  const { name, author, license } = read(`@iconify-json/${id}/info.json`, infoSchema);
  const also = new Map<string, string[]>();
  for (const [alias, own] of Object.entries(file.aliases ?? {}))
    if (isRecord(own) && typeof own['parent'] === 'string')
      also.set(own['parent'], [...(also.get(own['parent']) ?? []), alias]);
  const icons = Object.entries(file.icons).flatMap(([own, icon]): ShippedIcon[] => {
    const style = styleOf(styles, own);
    const isHidden = isRecord(icon) && icon['hidden'] === true;
    if (isHidden || style === undefined) return [];
    const plain = own.slice(0, own.length - style.ending.length);
    if (isBrand(plain)) return [];
    return [{ set: id, name: own, style: style.name, plain, also: also.get(own) ?? [] }];
  });
  const known = new Set(icons.map((icon) => icon.name));
  let measures: ReadonlyMap<string, IconMeasures> | undefined;
  return {
    id,
    name,
    author: author.name,
    license,
    icons,
    drawing(own) {
      const icon = known.has(own) ? iconSchema.safeParse(file.icons[own]) : undefined;
      if (!icon?.success) return undefined;
      const { body, left = 0, top = 0, width, height } = icon.data;
      const box = {
        left,
        top,
        width: width ?? file.width ?? 16,
        height: height ?? file.height ?? 16,
      };
      const reading = readIcon(body, box);
      return reading.ok ? reading.drawing : undefined;
    },
    get measures() {
      measures ??= readMeasures(readFileSync(measuredPath(id), 'utf8'));
      return measures;
    },
  };
}

/** Where what was measured of a set is kept. */
export const measuredPath = (id: string): string =>
  path.join(path.dirname(require.resolve('@garnish/server/icons/sets')), 'measured', `${id}.tsv`);

let loaded: ReadonlyMap<string, IconSet> | undefined;

/** The shipped sets by their ids; read from their packages when they are first asked for. */
export function iconSets(): ReadonlyMap<string, IconSet> {
  if (loaded) return loaded;
  loaded = new Map(SHIPPED.map((shipped) => [shipped.id, setOf(shipped, fileOf(shipped.id))]));
  return loaded;
}
