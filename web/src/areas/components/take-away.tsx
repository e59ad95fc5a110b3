import type { Component } from '@garnish/core/components/component';
import { namingOf } from '@garnish/core/formats/naming';
import { rulesCss } from '@garnish/core/formats/sheet';
import { classesIn, writeHtml } from '@garnish/core/proof/node';
import { ownVariantsOf } from '@garnish/core/derive/own-variants';
import { specimenOf, variantsOf } from '@garnish/core/proof/specimens';
import { useDecidedLater } from '../../system/system-context.ts';
import { Copy } from '../../ui/copy.tsx';

/** No specimen has a drawing of its own. */
const NO_SVG = (): string => '';

/** What a component stands on, and the text that it is set in: neither is its own. */
const GROUND = /^(?:type|on|over)-/;

/** The HTML of each variant and the rules of all of them, as the export has them. */
export function TakeAway({ component }: { readonly component: Component }) {
  const { document, derived } = useDecidedLater(
    ['tokens', 'components'],
    ['styles', 'colors', 'groups', 'rules'],
  );
  const { classes } = component;
  const variants = variantsOf(component, ownVariantsOf(document.components));
  const nodes = variants.map((variant) => [variant.name, specimenOf(variant, derived)] as const);
  const own = new Set([
    ...classes.map(({ name }) => name),
    ...nodes.flatMap(([, node]) =>
      [...classesIn(node)].filter((name) => !/^(type|on)-/.test(name)),
    ),
  ]);
  const isOfIt = (selector: string): boolean => {
    const names = [...selector.matchAll(/\.([\w-]+)/g)].flatMap(([, name]) => name ?? []);
    return (
      names.some((name) => own.has(name)) &&
      names.every((name) => own.has(name) || GROUND.test(name))
    );
  };
  const rules = derived.rules
    .flatMap((group) => group.rules)
    .filter(({ selector }) => selector.split(', ').some(isOfIt));
  const css = rulesCss(rules, namingOf(document.tokens.sheet, derived));
  return (
    <ul>
      {nodes.map(([name, node]) => {
        const html = writeHtml(node, NO_SVG);
        return (
          <li
            key={name}
            className="grid grid-cols-[8.5rem_minmax(0,1fr)] gap-x-3 border-t border-line first:border-t-0"
          >
            <span className="truncate text-quiet">{name}</span>
            <Copy
              className="figures min-w-0 text-start text-xs"
              text={html}
              label={`Copy the HTML of ${name}`}
            >
              <span className="block truncate">{html}</span>
            </Copy>
          </li>
        );
      })}
      <li className="grid grid-cols-[8.5rem_minmax(0,1fr)] gap-x-3 border-t border-line">
        <span className="text-quiet">its rules</span>
        <Copy
          className="figures text-start text-xs"
          text={css}
          label={`Copy the rules of ${component.name}`}
        >
          {rules.length} rules
        </Copy>
      </li>
    </ul>
  );
}
