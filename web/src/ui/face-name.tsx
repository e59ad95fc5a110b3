import { nearestWeight, type FontFamily } from '@garnish/core/fonts/family';
import { useFace } from './use-face.ts';

interface FaceNameProps {
  readonly family: FontFamily;
  readonly weight: number;
  /** How long it has to stand in view before its file is asked for. */
  readonly waitMs?: number;
}

/** The name of a family set in itself, at the nearest weight that it has; nothing is faked. */
export function FaceName({ family, weight, waitMs = 0 }: FaceNameProps) {
  const fontFamily = useFace(family, waitMs);
  return (
    <span style={{ fontFamily, fontWeight: nearestWeight(family, weight), fontSynthesis: 'none' }}>
      {family.name}
    </span>
  );
}
