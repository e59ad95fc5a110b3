import { textOfLines, writeChosen } from '@garnish/core/formats/chosen';
import { namingOf } from '@garnish/core/formats/naming';
import { rulesCss } from '@garnish/core/formats/sheet';
import type { Mode } from '@garnish/core/system/document';
import { useMemo, useState } from 'react';
import type { Told } from '../proof/chosen.ts';
import { htmlBare, htmlLines } from '../proof/html-lines.ts';
import { Choice } from '../ui/choice.tsx';
import { Lines } from '../ui/lines.tsx';
import type { GuestView } from './use-guest.ts';

const CODES = ['rules', 'HTML', 'tokens'] as const;
const FORMS = ['bare', 'whole'] as const;
type Code = (typeof CODES)[number];

const asOptions = <Value extends string>(values: readonly Value[]) =>
  values.map((value) => ({ value, name: value }));

interface CodeProps {
  readonly told: Told;
  readonly element: Element;
  readonly view: GuestView;
  readonly theme: Mode;
}

/** The code of the chosen thing: its rules, its HTML or its tokens, alone or with what is around them. */
export function CodeBeside({ told, element, view, theme }: CodeProps) {
  const { document, derived } = view;
  const [code, setCode] = useState<Code>('rules');
  const [form, setForm] = useState<(typeof FORMS)[number]>('whole');
  const isBare = form === 'bare';
  const { rules, tokens } = told;
  const [ruleList, tokenList] = [rules.map(({ selector }) => selector).join(), tokens.join()];
  const text = useMemo((): string => {
    switch (code) {
      case 'HTML':
        return (isBare ? htmlBare(element) : htmlLines(element)).join('\n');
      case 'tokens': {
        const writing = {
          form: isBare ? ('bare' as const) : ('as a sheet' as const),
          selector: ':root',
          references: isBare ? ('resolved' as const) : ('kept' as const),
          theme: isBare ? theme : ('both' as const),
          units: 'as decided' as const,
          isMinified: false,
        };
        return textOfLines(writeChosen(document, derived, tokens, writing).lines, writing);
      }
      case 'rules': {
        const css = rulesCss(rules, namingOf(document.tokens.sheet, derived));
        return isBare ? bareOf(css) : css;
      }
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the lists are told anew for each look, their words are not
  }, [code, isBare, element, theme, document, derived, ruleList, tokenList]);
  const lines = useMemo(() => text.trimEnd().split('\n'), [text]);
  return (
    <section aria-label="Code" className="mt-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <Choice label="Code" options={asOptions(CODES)} value={code} onChange={setCode} />
        <Choice label="Form" options={asOptions(FORMS)} value={form} onChange={setForm} />
      </div>
      <Lines lines={lines} label="Code of what is chosen" className="max-h-96" />
    </section>
  );
}

/** The declarations alone, each as far left as it can be. */
const bareOf = (css: string): string =>
  css
    .split('\n')
    .filter((line) => /^\s+[\w-]+:.*;$/.test(line))
    .map((line) => line.trim())
    .join('\n');
