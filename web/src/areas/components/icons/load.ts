/** What reads and measures SVG, fetched when somebody brings some. */
export async function loaded() {
  const [{ readIcon }, { cropped }, { evened }, { measureIcon }] = await Promise.all([
    import('@garnish/core/icons/read-svg'),
    import('@garnish/core/icons/crop'),
    import('@garnish/core/icons/drawing'),
    import('@garnish/core/icons/measure'),
  ]);
  return { readIcon, cropped, evened, measureIcon };
}
