import { words } from '../../system/schema-parts.ts';
import { wordsAt } from '../parts.ts';
import { kind } from './kind.ts';

/** What has to be known before anything else. */
export const notice = kind({
  id: 'notice',
  name: 'Notice',
  says: 'what has to be known before anything else',
  shape: { title: words, text: words },
  start: () => ({ title: 'Closed on Monday.', text: 'We open again on Tuesday at nine.' }),
  nodes({ title, text: said }, at, { text, ground }) {
    if (title === '' && said === '') return [];
    return [
      ground('aside', 'surface', { class: 'notice', 'aria-label': 'Notice' }, [
        text('p', 'body', [
          wordsAt('strong', title, `${at}/title`),
          ' ',
          wordsAt('span', said, `${at}/text`),
        ]),
      ]),
    ];
  },
});
