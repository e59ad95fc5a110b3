import { seeded } from '@garnish/core/seeded';

/** Something that takes inputs from outside. */
export interface Target<Input> {
  readonly name: string;
  /** How many of all inputs it gets, beside the others' shares. */
  readonly share: number;
  readonly seeds: readonly Input[];
  readonly mutate: (input: Input, random: Random, all: readonly Input[]) => Input;
  /** Takes the input; says whether it refused it in words. Whatever it throws is a find. */
  readonly take: (input: Input) => boolean | Promise<boolean>;
  readonly show: (input: Input) => string;
  readonly close?: () => void | Promise<void>;
}

/** A whole number from 0 to below a bound. */
export type Random = (below: number) => number;

export interface Find {
  readonly why: string;
  readonly input: string;
}

export interface Fuzzed {
  readonly found: readonly Find[];
  readonly slowestMs: number;
  readonly refused: number;
}

/** The longest text that is tried. */
const LONGEST = 400_000;

/** What took longer is tried so often again; its shortest time counts. */
const AGAIN = 4;

/** Pieces that readers of many formats stumble over. */
const HOSTILE = [
  ...Object.getOwnPropertyNames(Object.prototype),
  ...['{', '}', '[', ']', '(', ')', '"', "'", '\\', '/', ',', ':', ';', '$value', '$type', '{a.b}'],
  ...['\0', '\ud800', '\udc00', '\f', '\r', '\n', '﻿', '‮', '<svg>', '<rect fill="', 'url('],
  ...['1e999', '-0', '1e-999', 'NaN', 'Infinity', '0x10', '9007199254740993', '\\u0000', '\\ud800'],
  ...[
    'rgb(',
    'calc(',
    'color-mix(in srgb,',
    'clamp(',
    '--a:',
    '#',
    '%',
    '~~~',
    '/order',
    '/items/',
  ],
];

const pick = <Item>(items: readonly Item[], random: Random): Item => {
  const item = items[random(items.length)];
  if (item === undefined) throw new RangeError('nothing to pick from');
  return item;
};

/** Mostly a few of a piece, now and then as many as a reader may get. */
const repeated = (piece: string, random: Random): string =>
  piece.repeat(random(random(6) === 0 ? Math.ceil(LONGEST / piece.length) : 60));

/** A text with a few things changed: pieces cut, doubled, moved, repeated, replaced, or brought from another. */
export function mutatedText(text: string, random: Random, all: readonly string[]): string {
  let here = text;
  for (let change = 0; change <= random(4); change += 1) {
    const at = random(here.length + 1);
    const length = random(Math.min(40, here.length - at + 1) + 1);
    const piece = here.slice(at, at + length);
    const [before, after] = [here.slice(0, at), here.slice(at + length)];
    here =
      [
        () => before + after,
        () => before + piece + piece + after,
        () => before + pick(HOSTILE, random) + after,
        () => before + pick(HOSTILE, random) + piece + after,
        () => before + repeated(pick(HOSTILE, random), random) + after,
        () => before + String.fromCharCode(random(0x10000)) + after,
        () => before + pick(all, random).slice(random(200)) + after,
        () => piece.repeat(random(300)) + after,
        () => before.slice(0, random(before.length + 1)),
      ][random(9)]?.() ?? here;
    here = here.slice(0, LONGEST);
  }
  return here;
}

/** Bytes with a few of them changed, cut off, or doubled; half of the changes fall into the beginning. */
export function mutatedBytes(bytes: Uint8Array, random: Random): Uint8Array {
  const copy = bytes.slice(0, random(8) === 0 ? random(bytes.length) : undefined);
  for (let change = 0; change <= random(10); change += 1) {
    const at = random(random(2) === 0 ? Math.min(300, copy.length + 1) : copy.length + 1);
    if (at >= copy.length) continue;
    copy[at] = [random(256), 0, 255, 127, 128][random(5)] ?? 0;
  }
  return copy;
}

const prototypes = (): string =>
  [Object.prototype, Array.prototype, Function.prototype, String.prototype]
    .map((one) => Object.getOwnPropertyNames(one).join())
    .join('|');

/**
 * Gives a target mutated inputs, the same ones for the same seed. A find is whatever is thrown, leaves a
 * changed prototype, or takes longer than `mostMs`. Without it nothing is timed: a machine that is busy with
 * something else would be taken for a reader that is slow.
 */
export async function fuzz<Input>(
  target: Target<Input>,
  {
    runs,
    seed,
    mostMs = Infinity,
  }: { readonly runs: number; readonly seed: number; readonly mostMs?: number },
): Promise<Fuzzed> {
  const next = seeded(String(seed));
  const random: Random = (below) => Math.floor(next() * below);
  const before = prototypes();
  const found: Find[] = [];
  let [slowestMs, refused] = [0, 0];
  for (let run = 0; run < runs; run += 1) {
    const input =
      run < target.seeds.length
        ? (target.seeds[run] as Input)
        : target.mutate(pick(target.seeds, random), random, target.seeds);
    let why: string | undefined;
    const timed = async (): Promise<number> => {
      const start = performance.now();
      try {
        if (await target.take(input)) refused += 1;
      } catch (error) {
        why = error instanceof Error ? (error.stack ?? error.message) : String(error);
      }
      return performance.now() - start;
    };
    let ms = await timed();
    // The machine may have been busy, or a process was starting: what is slow is slow every time.
    for (let again = 0; again < AGAIN && ms > mostMs && why === undefined; again += 1)
      ms = Math.min(ms, await timed());
    slowestMs = Math.max(slowestMs, ms);
    if (why === undefined && ms > mostMs) why = `it took ${Math.round(ms)} ms`;
    if (why === undefined && prototypes() !== before) why = 'a prototype was changed';
    if (why !== undefined) found.push({ why, input: target.show(input) });
  }
  return { found, slowestMs, refused };
}
