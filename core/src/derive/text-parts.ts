import { COMPONENTS } from '../components/components.ts';
import type { ProofNode } from '../proof/node.ts';
import { everyMode, type MadeToken } from '../tokens/token.ts';
import { selectorIn, WORDS, type Departure } from './components.ts';
import type { Rule, TextSetting } from './derived.ts';

/** The second part of the name of what a component’s words are set in: `button.text`. */
export const TEXT = 'text';

/** A component whose words are set in one text role, which it may depart from. */
export interface TextPart {
  /** What its tokens begin with. */
  readonly of: string;
  /** The role that its words are usually set in, by id. */
  readonly text: string;
}

const hasWords = (node: ProofNode): boolean =>
  typeof node === 'string' ? node.trim() !== '' : node.children.some(hasWords);

/** What has a text of several roles in it, or words of none. */
const OTHER = '';

/** The text roles of what stands directly in the elements of a class. */
function textsIn(node: ProofNode, of: string): readonly string[] {
  if (typeof node === 'string') return [];
  const isOf = node.attributes['class']?.split(' ').includes(of) === true;
  return node.children.flatMap((child) => {
    if (typeof child === 'string' || !isOf) return textsIn(child, of);
    const names = child.attributes['class']?.split(' ') ?? [];
    const own = names.find((name) => name.startsWith('type-'))?.slice('type-'.length);
    return own === undefined ? (hasWords(child) ? [OTHER] : []) : [own];
  });
}

/**
 * The components whose words are set in one text role, made of the list: by their own class, or by the one that the
 * words in them carry. What holds texts of several roles is none: its texts are those of the page.
 */
export const TEXT_PARTS: readonly TextPart[] = COMPONENTS.flatMap(
  ({ classes, parts = [], variants = [] }): TextPart[] =>
    classes.flatMap(({ name, text }) => {
      if (text !== undefined) return [{ of: name, text }];
      if (!parts.some(({ of }) => of === name)) return [];
      const worn = new Set(
        variants.flatMap(({ of, specimen }) => (of === name ? textsIn(specimen({}), name) : [])),
      );
      const [only] = worn;
      return worn.size === 1 && only !== undefined && only !== OTHER
        ? [{ of: name, text: only }]
        : [];
    }),
);

const byOf: ReadonlyMap<string, TextPart> = new Map(TEXT_PARTS.map((part) => [part.of, part]));

/** The text of what tokens begin with; nothing where it holds several, or none. */
export const textPartOf = (of: string): TextPart | undefined => byOf.get(of);

const ROLE = /^type\.(.+)$/;

/** What is set in another role than usual. */
export interface DepartingText {
  readonly departure: Departure;
  /** The component that it is, and the class of a variant of one’s own. */
  readonly of: string;
  readonly own: string | undefined;
  /** The slug of the role. */
  readonly slug: string;
}

/** The texts that depart to a role that there is. */
export const departingTexts = (
  departures: Iterable<Departure>,
  styles: ReadonlyMap<string, Pick<TextSetting, 'slug'>>,
): readonly DepartingText[] =>
  [...departures].flatMap((departure) => {
    const [of = '', part] = departure.part.split('.');
    const slug = styles.get(ROLE.exec(departure.to)?.[1] ?? '')?.slug;
    if (part !== TEXT || slug === undefined || !byOf.has(of)) return [];
    const own = departure.variant === undefined ? undefined : departure.name.split('.')[0];
    return [{ departure, of, own, slug }];
  });

const SETTINGS = [
  ['family', 'font-family', 'fontFamily'],
  ['size', 'font-size', 'fontSize'],
  ['weight', 'font-weight', 'fontWeight'],
  ['line-height', 'line-height', 'lineHeight'],
  ['letter-spacing', 'letter-spacing', 'letterSpacing'],
] as const;

/** A token for each text that departs, taken from the style of its role. */
export const deriveTextTokens = (texts: readonly DepartingText[]): MadeToken[] =>
  texts.map(({ departure: { name, path, to }, slug }) => ({
    id: name,
    path: name.split('.'),
    tier: 'component',
    type: 'typography',
    values: everyMode({
      reference: `type.${slug}.style`,
      json: Object.fromEntries(SETTINGS.map(([part, , key]) => [key, `{type.${slug}.${part}}`])),
    }),
    trail: () => ({
      decisions: [{ path, label: name, value: to }],
      steps: ['departs from the manner', 'the style of that text role'],
    }),
  }));

/** Its rules: the words of the component, with a class of their own or without, as that role sets them. */
export const deriveTextRules = (texts: readonly DepartingText[]): Rule[] =>
  texts.map(({ of, own, slug }) => {
    const chosen = own === undefined ? '' : `.${own}`;
    return {
      selector: ['', WORDS].map((inside) => selectorIn(of, undefined, inside, chosen)).join(', '),
      declarations: SETTINGS.map(
        ([part, property]) => [property, `var(--type-${slug}-${part})`] as const,
      ),
    };
  });
