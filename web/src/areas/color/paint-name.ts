import type { Painted } from '@garnish/core/derive/derived';
import type { Paint } from '@garnish/core/system/document';

/** What a role is painted in, in words. */
export function paintName(
  paint: Paint,
  { hex, rung, ramp }: Painted,
  rampName: (id: string) => string,
): string {
  const named = (number: number): string => ramp?.rungNames[number - 1] ?? String(number);
  switch (paint.kind) {
    case 'own':
      return paint.wide ?? paint.value;
    case 'source':
      return `${rampName(paint.source)} itself`;
    case 'share':
      return `${Number((paint.share * 100).toFixed(1))} % of ${paint.of} over ${paint.over}`;
    case 'rung':
      return `${rampName(paint.ramp)} ${named(paint.rung)}`;
    case 'near':
      return rung === undefined
        ? `${hex}, where no rung of ${rampName(paint.ramp)} reads`
        : rung === paint.rung
          ? `${rampName(paint.ramp)} ${named(rung)}, automatic`
          : `${rampName(paint.ramp)} ${named(rung)}, automatic, beside ${named(paint.rung)}`;
  }
}
