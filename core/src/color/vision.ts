import { encoded, hexOf, linear, rgbOf, type Hex, type Rgb } from './srgb.ts';

/** Ways of seeing color: with one kind of cone that answers differently, or with none. */
export const VISIONS = ['protan', 'deutan', 'tritan', 'gray'] as const;
export type Vision = (typeof VISIONS)[number];

/** Rows of red, green and blue, applied in linear light. */
export type Matrix = readonly [Rgb, Rgb, Rgb];

const IDENTITY: Matrix = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/**
 * What a color becomes at full severity. Sources: Machado, Oliveira and Fernandes 2009, severity 1,
 * for protan, deutan and tritan (the model was fitted for the first two; of tritan vision it is a rough
 * picture); the relative luminance of WCAG 2.2 for gray, which is no model of an eye but what is left
 * when color says nothing.
 */
const FULL: Readonly<Record<Vision, Matrix>> = {
  protan: [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  deutan: [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  tritan: [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
  gray: [
    [0.2126, 0.7152, 0.0722],
    [0.2126, 0.7152, 0.0722],
    [0.2126, 0.7152, 0.0722],
  ],
};

/**
 * The matrix of a way of seeing at a severity from 0 (as usual) to 1. Between the two the matrix
 * moves evenly, which is near what the paper tabulates but not the same.
 */
export function visionMatrix(vision: Vision, severity = 1): Matrix {
  const mixed = (row: 0 | 1 | 2, column: 0 | 1 | 2): number =>
    IDENTITY[row][column] * (1 - severity) + FULL[vision][row][column] * severity;
  const rowOf = (row: 0 | 1 | 2): Rgb => [mixed(row, 0), mixed(row, 1), mixed(row, 2)];
  return [rowOf(0), rowOf(1), rowOf(2)];
}

/** A color as it is seen, about; what falls outside sRGB is clipped. */
export function seenAs(hex: Hex, vision: Vision, severity = 1): Hex {
  const [red, green, blue] = rgbOf(hex).map(linear) as [number, number, number];
  const [one, two, three] = visionMatrix(vision, severity).map(([r, g, b]) =>
    encoded(r * red + g * green + b * blue),
  ) as [number, number, number];
  return hexOf([one, two, three]);
}

/** The matrix as the values of an SVG `feColorMatrix`, which works in linear light by itself. */
export const colorMatrixValues = (matrix: Matrix): string =>
  [...matrix.map((row) => [...row, 0, 0].join(' ')), '0 0 0 1 0'].join(' ');
