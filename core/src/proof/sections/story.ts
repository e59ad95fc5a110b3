import { nowhere, type Page, type Section, wordsAt } from '../build.ts';
import { element, type ProofElement } from '../node.ts';

function storyText({ build: { text }, document: { content } }: Page): ProofElement {
  const { title, opening, text: words, aside } = content.story;
  return element(
    'section',
    { class: 'block width-text prose' },
    text('h3', 'h3', [title], '/content/story/title'),
    text('p', 'body', [
      wordsAt('strong', opening, '/content/story/opening'),
      ' ',
      wordsAt('span', words, '/content/story/text'),
      ' ',
      wordsAt('em', aside, '/content/story/aside'),
    ]),
    text('p', 'body', [element('a', nowhere, content.hero.secondary)]),
  );
}

/** Running text: what the site’s words look like at length. */
export const story: Section = (page) => [storyText(page)];
