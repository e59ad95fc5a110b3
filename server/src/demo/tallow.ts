import { inOrder, type StyleDocument } from '@garnish/core/system/document';
import { NOTHING } from '@garnish/core/system/collection';
import { collectionOf, newDocument, usualRoles } from '@garnish/core/system/new-document';
import { family } from '../fonts/shipped.ts';
import { itself, own, page, withRoles } from './decide.ts';

/** A candle maker whose system is unfinished on purpose: every check finds something here. */
export function tallow(): StyleDocument {
  const start = newDocument({
    name: 'Tallow Lane Candles',
    brand: '#c9822b',
    heading: family('dm-serif-display'),
    text: family('commissioner'),
  });
  const { roles } = start.color;
  const quiet = roles.items['quiet'];
  const action = roles.items['action'];
  if (!quiet || !action) throw new Error('the usual roles have no quiet text or no action');
  return {
    ...start,
    description: 'Unfinished: a first evening’s work, with findings still to repair.',
    type: {
      anchors: collectionOf([
        ['narrow', { width: 360, base: 15, ratio: 1.18 }],
        ['wide', { width: 1280, base: 17, ratio: 1.42 }],
      ]),
      scale: 'one ratio',
      rounding: 'none',
      unit: 'vi',
      roles: withRoles(usualRoles, { h3: { place: 1 }, label: { face: 'text', weight: 600 } }),
    },
    color: {
      ...start.color,
      sources: {
        ...start.color.sources,
        items: {
          ...start.color.sources.items,
          brand: { name: 'beeswax', value: '#c9822b' },
        },
      },
      neutral: { name: 'soot', source: 'brand', tint: 0.7 },
      roles: {
        ...roles,
        items: {
          ...roles.items,
          quiet: { ...quiet, light: own('#a08c74') },
          action: { ...action, light: itself('brand') },
        },
      },
    },
    space: {
      ...start.space,
      parts: { 'card.gap': { px: 22 }, 'form-row.gap': { role: 'stack' } },
    },
    content: {
      ...start.content,
      mark: 'flame',
      nav: collectionOf([
        ['shop', { words: 'Shop' }],
        ['making', { words: 'How we make them' }],
        ['lane', { words: 'Find the lane' }],
      ]),
      pages: collectionOf([
        page(
          'home',
          'Home',
          [
            'hero',
            {
              kind: 'opening',
              title: 'Forty hours of quiet light',
              lead: 'Beeswax and cotton, poured on Tuesdays, burnt wherever somebody reads late.',
              primary: 'Choose a candle',
              secondary: 'How we make them',
            },
          ],
          [
            'notice',
            {
              kind: 'notice',
              title: 'New this month:',
              text: 'short ones for lanterns, in boxes of six.',
            },
          ],
          ...inOrder(start.content.pages.items['home']?.sections ?? NOTHING).filter(
            ([id]) => id === 'table' || id === 'cards',
          ),
          [
            'story',
            {
              kind: 'story',
              title: 'One pot, one lane',
              opening: 'We began with a pot that was meant for jam.',
              text: 'The wax comes from nine beekeepers within a day’s walk, and every candle is dipped thirty times.',
              aside: 'The thirty-first dip is for the smell.',
              link: 'How we make them',
            },
          ],
        ),
        page(
          'making',
          'How we make them',
          [
            'steps',
            {
              kind: 'steps',
              title: 'From comb to wick',
              steps: {
                order: ['melt', 'dip', 'hang'],
                items: {
                  melt: { title: 'Melt', text: 'Slowly, in water, never over the flame.' },
                  dip: { title: 'Dip', text: 'Thirty times, a minute of air between two.' },
                  hang: { title: 'Hang', text: 'A week under the roof, in the draft.' },
                },
              },
            },
          ],
          [
            'call',
            {
              kind: 'call',
              title: 'Come on a Tuesday',
              text: 'The pot is on from nine to four.',
              action: 'Find the lane',
            },
          ],
        ),
      ]),
      footer: 'Tallow Lane Candles. Ring twice; we may be at the pot.',
    },
  };
}
