/** A length in px as it is read: without zeros that say nothing. */
export const px = (value: number, decimals = 2): string => `${Number(value.toFixed(decimals))} px`;
