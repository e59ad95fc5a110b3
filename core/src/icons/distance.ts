/** Further than any pixel of an icon is from another. */
const FAR = 1e6;

/**
 * The distance of every pixel to the nearest that is set, in px between the middles of both; more than any size where
 * none is. Exact, in time that grows with the pixels alone: first along each column, then the lowest of the parabolas
 * that stand on each row. Source: Felzenszwalb and Huttenlocher, Distance Transforms of Sampled Functions (Theory of
 * Computing 8, 2012).
 */
export function distancesTo(set: Uint8Array, width: number, height: number): Float64Array {
  const columns = new Float64Array(width * height);
  for (let x = 0; x < width; x += 1) {
    let since = FAR;
    for (let place = x; place < set.length; place += width) {
      since = set[place] === 1 ? 0 : since + 1;
      columns[place] = since;
    }
    since = FAR;
    for (let place = x + width * (height - 1); place >= 0; place -= width) {
      since = set[place] === 1 ? 0 : since + 1;
      if (since < (columns[place] as number)) columns[place] = since;
    }
  }
  const found = new Float64Array(width * height);
  const at = new Int32Array(width);
  const bounds = new Float64Array(width + 1);
  const own = new Float64Array(width);
  for (let row = 0; row < width * height; row += width) {
    let last = 0;
    at[0] = 0;
    bounds[0] = -Infinity;
    bounds[1] = Infinity;
    own[0] = (columns[row] as number) ** 2;
    for (let q = 1; q < width; q += 1) {
      const value = (columns[row + q] as number) ** 2;
      own[q] = value;
      let meets = 0;
      for (;;) {
        const p = at[last] as number;
        meets = (value + q * q - (own[p] as number) - p * p) / (2 * (q - p));
        if (meets > (bounds[last] as number)) break;
        last -= 1;
      }
      last += 1;
      at[last] = q;
      bounds[last] = meets;
      bounds[last + 1] = Infinity;
    }
    let nearest = 0;
    for (let q = 0; q < width; q += 1) {
      while ((bounds[nearest + 1] as number) < q) nearest += 1;
      const p = at[nearest] as number;
      found[row + q] = Math.sqrt((q - p) ** 2 + (own[p] as number));
    }
  }
  return found;
}
