declare module 'quantize' {
  interface ColorMap {
    readonly palette: () => [number, number, number][];
  }
  export default function quantize(
    pixels: readonly (readonly [number, number, number])[],
    count: number,
  ): ColorMap | false;
}
