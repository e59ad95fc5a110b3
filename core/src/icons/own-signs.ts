import type { IconDrawing } from './drawing.ts';
import type { IconMeasures } from './measure.ts';
import { readMeasures } from './measured-line.ts';

/** What a sign is for, and how it is drawn. */
interface Sign {
  readonly id: string;
  readonly name: string;
  /** The component that draws it by itself wherever it stands. */
  readonly of?: string;
  readonly strokes: readonly string[];
  /** Filled, where a line cannot say it. */
  readonly fills?: readonly string[];
}

/**
 * Signs of our own, on a box of 24 with strokes of 1.5: what components need, and the ways to reach somebody, without
 * any brand. A system swaps the drawing of each by an icon of the same id.
 */
const SIGNS: readonly Sign[] = [
  { id: 'outward', name: 'Leads elsewhere', of: 'link', strokes: ['M7 17L17 7', 'M8.5 7H17V15.5'] },
  { id: 'send', name: 'Send', of: 'button', strokes: ['M4 12H20', 'M13 5L20 12L13 19'] },
  { id: 'open', name: 'More below', of: 'navigation', strokes: ['M5 9L12 16L19 9'] },
  { id: 'menu', name: 'Menu', strokes: ['M4 7H20', 'M4 12H20', 'M4 17H20'] },
  { id: 'close', name: 'Close', strokes: ['M6 6L18 18', 'M18 6L6 18'] },
  { id: 'next', name: 'Next', strokes: ['M9 5L16 12L9 19'] },
  { id: 'back', name: 'Back', strokes: ['M15 5L8 12L15 19'] },
  { id: 'add', name: 'Add', strokes: ['M12 5V19', 'M5 12H19'] },
  { id: 'check', name: 'Done', strokes: ['M5 13L10 18L19 7'] },
  {
    id: 'search',
    name: 'Search',
    strokes: ['M4 10.5A6.5 6.5 0 1 1 17 10.5A6.5 6.5 0 1 1 4 10.5Z', 'M15.5 15.5L20 20'],
  },
  {
    id: 'download',
    name: 'Download',
    strokes: ['M12 4V15', 'M7 10.5L12 15.5L17 10.5', 'M5 20H19'],
  },
  {
    id: 'mail',
    name: 'Mail',
    strokes: [
      'M5 5.5H19A2 2 0 0 1 21 7.5V16.5A2 2 0 0 1 19 18.5H5A2 2 0 0 1 3 16.5V7.5A2 2 0 0 1 5 5.5Z',
      'M3.5 7L12 13L20.5 7',
    ],
  },
  {
    id: 'phone',
    name: 'Phone',
    strokes: [
      'M6.5 3.5H9L10.5 8L8.5 9.5C9.5 12 12 14.5 14.5 15.5L16 13.5L20.5 15V17.5C20.5 19.2 19.2 20.5 17.5 20.5C10 20.5 3.5 14 3.5 6.5C3.5 4.8 4.8 3.5 6.5 3.5Z',
    ],
  },
  {
    id: 'place',
    name: 'Place',
    strokes: [
      'M12 21C8 16.5 5 13.5 5 10A7 7 0 0 1 19 10C19 13.5 16 16.5 12 21Z',
      'M9.5 10A2.5 2.5 0 1 1 14.5 10A2.5 2.5 0 1 1 9.5 10Z',
    ],
  },
  {
    id: 'feed',
    name: 'Feed',
    strokes: ['M5 5A14 14 0 0 1 19 19', 'M5 11A8 8 0 0 1 13 19'],
    fills: ['M4.5 18A1.5 1.5 0 1 1 7.5 18A1.5 1.5 0 1 1 4.5 18Z'],
  },
  {
    id: 'video',
    name: 'Video',
    strokes: [
      'M5 6H14A2 2 0 0 1 16 8V16A2 2 0 0 1 14 18H5A2 2 0 0 1 3 16V8A2 2 0 0 1 5 6Z',
      'M16 10.5L21 8V16L16 13.5',
    ],
  },
  {
    id: 'social',
    name: 'Social',
    strokes: [
      'M9.5 7.5A2.5 2.5 0 1 1 14.5 7.5A2.5 2.5 0 1 1 9.5 7.5Z',
      'M3.5 17.5A2.5 2.5 0 1 1 8.5 17.5A2.5 2.5 0 1 1 3.5 17.5Z',
      'M15.5 17.5A2.5 2.5 0 1 1 20.5 17.5A2.5 2.5 0 1 1 15.5 17.5Z',
      'M10.8 9.7L7.2 15.3',
      'M13.2 9.7L16.8 15.3',
      'M8.5 17.5H15.5',
    ],
  },
  {
    id: 'picture',
    name: 'Pictures',
    strokes: [
      'M5 5H19A2 2 0 0 1 21 7V17A2 2 0 0 1 19 19H5A2 2 0 0 1 3 17V7A2 2 0 0 1 5 5Z',
      'M3.5 16.5L9 11L14 16',
      'M13 15L16 12L20.5 16.5',
    ],
    fills: ['M14.5 8.5A1.25 1.25 0 1 1 17 8.5A1.25 1.25 0 1 1 14.5 8.5Z'],
  },
  {
    id: 'calendar',
    name: 'Calendar',
    strokes: [
      'M5 5.5H19A1.5 1.5 0 0 1 20.5 7V18.5A1.5 1.5 0 0 1 19 20H5A1.5 1.5 0 0 1 3.5 18.5V7A1.5 1.5 0 0 1 5 5.5Z',
      'M3.5 10H20.5',
      'M8 3V7',
      'M16 3V7',
    ],
  },
  {
    id: 'clock',
    name: 'Clock',
    strokes: ['M3.5 12A8.5 8.5 0 1 1 20.5 12A8.5 8.5 0 1 1 3.5 12Z', 'M12 7V12L15.5 14'],
  },
  {
    id: 'person',
    name: 'Person',
    strokes: [
      'M8 8A4 4 0 1 1 16 8A4 4 0 1 1 8 8Z',
      'M4.5 20C4.5 16.5 7.5 14.5 12 14.5C16.5 14.5 19.5 16.5 19.5 20',
    ],
  },
];

/** What is measured of them (a test measures them anew): as `measured-line.ts` has it. */
const MEASURED = readMeasures(`
outward	outlined	625	10000	round	313	0.02083	818	1	5572	4792	4792
send	outlined	625	10000	round	313	0.04167	939	1	7188	7292	6458
open	outlined	625	10000	round	313	0.04167	545	1	7045	6458	3542
menu	outlined	625	10000	round	-	0.04167	1341	3	1458	7292	4792
close	outlined	625	10000	round	-	0.08333	907	1	4910	5625	5625
next	outlined	625	10000	round	313	0.04167	545	1	7045	3542	6458
back	outlined	625	10000	round	313	0.04167	545	1	7045	3542	6458
add	outlined	625	10000	round	-	0.04167	751	1	-	6458	6458
check	outlined	625	10000	round	313	0.04167	583	1	8974	6458	5208
search	outlined	625	10000	round	-	0.02083	1238	2	3794	7292	7292
download	outlined	625	10000	round	313	0.02083	1069	2	1241	6458	7292
mail	outlined	625	10000	round	1146	0.02083	2044	3	521	8125	6042
phone	outlined	625	10000	-	313	0.02083	1539	2	1189	7708	7708
place	outlined	625	10000	-	-	0.02083	1677	4	1189	6458	8125
feed	outlined	625	6667	round	-	0.02083	1080	3	1796	6458	6458
video	outlined	625	10000	round	1146	0.04167	1649	3	1250	8125	5625
social	outlined	625	10000	round	-	-	1647	5	1189	7708	6875
picture	outlined	625	7500	round	1146	0.02083	2299	4	625	8125	6458
calendar	outlined	625	10000	round	938	0.02083	2169	3	625	7708	7708
clock	outlined	625	10000	round	313	0.02083	1651	3	833	7708	7708
person	outlined	625	10000	round	-	0.02083	1232	3	417	6875	7292
`);

export interface SignUse extends Sign {
  readonly measures: IconMeasures;
}

export const OWN_SIGNS: readonly SignUse[] = SIGNS.flatMap((sign) => {
  const measures = MEASURED.get(sign.id);
  return measures ? [{ ...sign, measures }] : [];
});

/** The width of their strokes in units of their box. */
const STROKE = 1.5;

/** A sign of our own as a drawing. */
export const signDrawing = ({ strokes, fills = [] }: SignUse): IconDrawing => ({
  width: 24,
  height: 24,
  cap: 'round',
  join: 'round',
  shapes: [
    ...strokes.map((d) => ({ d, paint: 'stroke' as const, width: STROKE })),
    ...fills.map((d) => ({ d, paint: 'fill' as const })),
  ],
});
