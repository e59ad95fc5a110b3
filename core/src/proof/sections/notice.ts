import { type Section, wordsAt } from '../build.ts';

/** What has to be known before anything else. */
export const notice: Section = ({ build: { text, ground }, document: { content } }) => {
  const { title, text: words } = content.notice;
  if (title === '' && words === '') return [];
  return [
    ground('aside', 'surface', { class: 'notice', 'aria-label': 'Notice' }, [
      text('p', 'body', [
        wordsAt('strong', title, '/content/notice/title'),
        ' ',
        wordsAt('span', words, '/content/notice/text'),
      ]),
    ]),
  ];
};
