import { expect, test } from '@jest/globals';
import { generate, parse, walk } from 'css-tree';
import { COMPONENTS } from '../components/components.ts';
import { writeCss } from '../formats/css.ts';
import { sampleDocument } from '../system/sample.ts';
import { derive } from './derive.ts';
import { STRUCTURE, STRUCTURE_RULES } from './structure.ts';

test('is that of every component, and a class says once what it is', () => {
  expect(STRUCTURE).toEqual(COMPONENTS.flatMap(({ classes }) => classes));
  const said = STRUCTURE_RULES.map(({ selector, within = '' }) => `${within} ${selector}`);
  expect(new Set(said).size).toBe(said.length);
});

test('what is said for wide ones stands in a container query, and is said of nothing but what is inside', () => {
  const wide = STRUCTURE.filter((one) => one.wide);
  expect(wide.map(({ name }) => name)).toContain('card');
  const found: string[] = [];
  walk(parse(writeCss(derive(sampleDocument()))), {
    visit: 'Atrule',
    enter({ name, prelude, block }) {
      if (name === 'container' && prelude && block)
        found.push(`${generate(prelude)} ${generate(block)}`);
    },
  });
  const query = found.filter((one) => one.includes('.card>.card-picture'));
  expect(query.length).toBeGreaterThan(0);
  for (const one of query) expect(one).toContain('(inline-size>=30rem)');
  for (const { name, wide: own } of wide) {
    // A container cannot ask for its own size to change itself.
    for (const selector of Object.keys(own?.inside ?? {})) expect(selector).toMatch(/^& [>~+ ]/);
    expect(STRUCTURE.find((one) => one.name === name)?.own?.['container-type']).toBe('inline-size');
  }
});
