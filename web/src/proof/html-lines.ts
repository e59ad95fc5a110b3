const IN_LINE = /^(?:inline|contents|ruby)/;
/** Elements that hold nothing and are not closed. Source: HTML, void elements. */
const VOID = /^(?:br|hr|img|input)$/;
/** What the window keeps on elements, and nobody takes along. */
const OWN = /^data-(?:decision|section|content|drawn)$/;

const escaped = (value: string): string => value.replaceAll('&', '&amp;').replaceAll('"', '&quot;');

const openOf = (element: Element): string =>
  [
    `<${element.localName}`,
    ...[...element.attributes]
      .filter(({ name }) => !OWN.test(name))
      .map(({ name, value }) => (value === '' ? ` ${name}` : ` ${name}="${escaped(value)}"`)),
    '>',
  ].join('');

const closeOf = ({ localName }: Element): string => (VOID.test(localName) ? '' : `</${localName}>`);

const isBlank = (node: Node): boolean =>
  node.nodeType === 3 && (node.textContent ?? '').trim() === '';

/** Whether a space between what stands in it would be none on the page. */
function isApart(element: Element): boolean {
  const view = element.ownerDocument.defaultView;
  const displayOf = (one: Element): string => view?.getComputedStyle(one).display ?? 'inline';
  const children = [...element.childNodes].filter((node) => !isBlank(node));
  if (children.length === 0 || children.some(({ nodeType }) => nodeType !== 1)) return false;
  return (
    /flex|grid|table/.test(displayOf(element)) ||
    [...element.children].every((child) => !IN_LINE.test(displayOf(child)))
  );
}

/** Everything in one line, with the line breaks of its words as they are. */
function whole(node: Node): string {
  if (node.nodeType === 3)
    return (node.textContent ?? '')
      .replaceAll('&', '&amp;')
      .replaceAll('<', '&lt;')
      .replaceAll('>', '&gt;');
  if (node.nodeType !== 1) return '';
  const element = node as Element;
  return `${openOf(element)}${[...element.childNodes].map(whole).join('')}${closeOf(element)}`;
}

/**
 * An element as HTML, line by line: what stands in it begins lines of its own wherever a space between changes nothing
 * on the page. What only the window needs is left out.
 */
export function htmlLines(element: Element, indent = ''): readonly string[] {
  if (!isApart(element)) return [`${indent}${whole(element)}`];
  return [
    `${indent}${openOf(element)}`,
    ...[...element.children].flatMap((child) => htmlLines(child, `${indent}  `)),
    `${indent}${closeOf(element)}`,
  ];
}

/** The element alone, with nothing in it but its own words. */
export const htmlBare = (element: Element): readonly string[] => {
  const inside = [...element.childNodes];
  const words = inside.every(({ nodeType }) => nodeType === 3)
    ? inside.map(whole).join('')
    : inside.length > 0
      ? '…'
      : '';
  return [`${openOf(element)}${words}${closeOf(element)}`];
};
