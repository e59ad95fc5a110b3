import type { Component } from '@garnish/core/components/component';
import { namingOf } from '@garnish/core/formats/naming';
import { rulesCss } from '@garnish/core/formats/sheet';
import { rulesOfComponent, variantsDrawn } from '@garnish/core/proof/needed';
import { writeHtml } from '@garnish/core/proof/node';
import type { Derived } from '@garnish/core/derive/derived';
import type { StyleDocument } from '@garnish/core/system/document';
import { Copy } from '../ui/copy.tsx';

/** No specimen has a drawing of its own. */
const NO_SVG = (): string => '';

interface TakeAwayProps {
  readonly component: Component;
  readonly document: Pick<StyleDocument, 'tokens' | 'components'>;
  readonly derived: Pick<Derived, 'styles' | 'colors' | 'groups' | 'rules'>;
}

/** The HTML of each variant and the rules of all of them, as the export has them. */
export function TakeAway({ component, document, derived }: TakeAwayProps) {
  const nodes = variantsDrawn(component, document, derived);
  const rules = rulesOfComponent(component, document, derived);
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
