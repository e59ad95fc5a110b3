import { stateOf } from '@garnish/core/components/states';
import {
  drawingOf,
  type Drawable,
  type Drawing,
  type DrawingChoice,
  type Picture,
} from '@garnish/core/drawings/drawing';
import type { Moved } from '@garnish/core/drawings/placing';
import { facesWorn, ownFaces } from './data.ts';
import { outlineOf, sceneOf } from './lay-out.ts';
import { Stage, type Worn } from './stage.ts';
import type { Subject } from './subject.ts';

/** What is drawn of a system. */
export interface Drawn extends Worn {
  readonly system: string;
  readonly subject: Subject;
  /** The width of the screen, in px. */
  readonly screenPx: number;
}

/** Room for a state beside others where the component would fill all that it has, in px. */
const STATE_ROOM_PX = 196;

/** Everything that drawings of a variant are made of, but for what is chosen of it. */
export type Prepared = Omit<Drawable, 'moved'>;

/**
 * Lays something out on a stage, in its states and at several widths, and takes its measures.
 * @param stage in what the same system wears, or one that is opened for it alone
 * @throws where the browser lets nobody read such a page
 */
export async function prepare(
  drawn: Drawn,
  choice: Pick<DrawingChoice, 'unit' | 'chapters'>,
  stage?: Stage,
): Promise<Prepared> {
  if (stage) return prepareOn(stage, drawn, choice);
  const own = await Stage.open(drawn);
  try {
    return await prepareOn(own, drawn, choice);
  } finally {
    own.close();
  }
}

async function prepareOn(
  stage: Stage,
  drawn: Drawn,
  { unit, chapters }: Pick<DrawingChoice, 'unit' | 'chapters'>,
): Promise<Prepared> {
  const { screenPx, subject, derived, theme, system } = drawn;
  const roomPx = subject.roomOn(screenPx);
  stage.take(subject);
  /** The component in its states; where it fills all its room, each has less. */
  const inStates = async (isFlowing: boolean, picture: Picture): Promise<Drawable['states']> => {
    if (!chapters.includes('states') || subject.states.length === 0) return [];
    const states: { name: string; picture: Picture }[] = [];
    const room = isFlowing ? Math.min(STATE_ROOM_PX, roomPx) : roomPx;
    for (const state of [undefined, ...subject.states]) {
      if (state === undefined && room === roomPx) {
        states.push({ name: 'at rest', picture });
        continue;
      }
      stage.lay(screenPx, room, state);
      await stage.fontsReady();
      const name = state === undefined ? 'at rest' : stateOf(state).name;
      states.push({ name, picture: await stage.picture(screenPx) });
    }
    return states;
  };
  /** The component at several widths, and from where it changes between them. */
  const atWidths = async (): Promise<Pick<Drawable, 'widths' | 'breaks'>> => {
    const widths: Drawable['widths'][number][] = [];
    for (const px of subject.rooms) {
      const scene = outlineOf(stage.lay(px, px));
      widths.push({ px, scene, picture: await stage.picture(px) });
    }
    const [narrow, , wide] = widths;
    return {
      widths,
      breaks: narrow && wide ? stage.breaks(narrow.scene, wide.scene) : [],
    };
  };
  const root = stage.lay(screenPx, roomPx);
  await stage.fontsReady();
  const scene = sceneOf(root, derived, unit);
  const picture = await stage.picture(screenPx);
  const page = stage.ground();
  const isFlowing = Math.abs(scene.width - roomPx) < 1 || roomPx === screenPx;
  const states = await inStates(isFlowing, picture);
  const isShown = isFlowing && chapters.includes('widths');
  const { widths, breaks } = isShown ? await atWidths() : { widths: [], breaks: [] };
  return {
    title: subject.title,
    says: subject.says,
    foot: `${system}, ${theme}, on a screen of ${screenPx} px`,
    scene,
    picture,
    page,
    states,
    widths,
    breaks,
    css: [await ownFaces(), await facesWorn(stage.page, drawn.sheet), stage.css()].join('\n'),
  };
}

/** A drawing of what was prepared. */
export const draw = (
  prepared: Prepared,
  choice: DrawingChoice,
  moved: ReadonlyMap<string, Moved>,
): Drawing => drawingOf({ ...prepared, moved }, choice);
