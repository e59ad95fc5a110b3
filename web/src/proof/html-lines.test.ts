/** @jest-environment jsdom */
import { afterEach, describe, expect, test } from '@jest/globals';
import { componentOf } from './component-of.ts';
import { htmlBare, htmlLines } from './html-lines.ts';

const put = (html: string): Element => {
  document.body.innerHTML = `<div class="site">${html}</div>`;
  const [first] = document.querySelector('.site')?.children ?? [];
  if (!first) throw new Error('nothing was put there');
  return first;
};

afterEach(() => {
  document.body.innerHTML = '';
});

describe('HTML line by line', () => {
  test('breaks between blocks, and never where a space would be seen', () => {
    const one = put(
      '<article class="card" data-section="/x"><h3 data-content="/y">A &lt; B</h3><p>Read <a href="#a">this</a>, <em>now</em></p><p><a style="display: inline">a</a><a style="display: inline-block">b</a></p></article>',
    );
    expect(htmlLines(one)).toEqual([
      '<article class="card">',
      '  <h3>A &lt; B</h3>',
      '  <p>Read <a href="#a">this</a>, <em>now</em></p>',
      '  <p><a style="display: inline">a</a><a style="display: inline-block">b</a></p>',
      '</article>',
    ]);
  });

  test('breaks between boxes of a row; what is empty and what is not closed stay so', () => {
    const one = put(
      '<form style="display: flex"><input disabled value="a&quot;b"><span></span><img src="x" alt=""></form>',
    );
    expect(htmlLines(one)).toEqual([
      '<form style="display: flex">',
      '  <input disabled value="a&quot;b">',
      '  <span></span>',
      '  <img src="x" alt>',
      '</form>',
    ]);
  });

  test('says the same as before to a parser', () => {
    const html =
      '<section><ul><li>One</li><li><b>Two</b> and three</li></ul><details open=""><summary>More</summary><p>Words</p></details></section>';
    const one = put(html);
    const written = htmlLines(one).join('');
    expect(put(written.replaceAll(/> +</g, '><')).outerHTML).toBe(html);
    expect(put(htmlLines(put(html)).join('\n')).outerHTML.replaceAll(/>\s+</g, '><')).toBe(html);
  });

  test('alone it is its tag, with its own words or a sign for what is in it', () => {
    expect(htmlBare(put('<h2 class="a" data-drawn="hover">Words</h2>'))).toEqual([
      '<h2 class="a">Words</h2>',
    ]);
    expect(htmlBare(put('<ul><li>x</li></ul>'))).toEqual(['<ul>…</ul>']);
    expect(htmlBare(put('<hr>'))).toEqual(['<hr>']);
  });
});

describe('the component of an element', () => {
  test('is itself, or the nearest around it, with the variant of its class', () => {
    const card = put(
      '<article class="card"><a class="button quiet-button"><span>Go</span></a></article>',
    );
    const span = card.querySelector('span');
    const found = span && componentOf(span);
    expect(found?.component.id).toBe('button');
    expect(found?.root.localName).toBe('a');
    expect(found?.variant?.states).toContain('hover');
    expect(componentOf(card)?.component.id).toBe('card');
  });

  test('is none in words alone, nor beyond the page', () => {
    expect(
      componentOf(put('<p class="type-text __proto__ constructor">Words</p>')),
    ).toBeUndefined();
    document.body.className = 'card';
    expect(componentOf(put('<p>Words</p>'))).toBeUndefined();
    document.body.className = '';
  });
});
