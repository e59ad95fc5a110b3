import { nearestWeight, type FontFamily } from '@garnish/core/fonts/family';
import { useFace } from './use-face.ts';

interface FaceNameProps {
  readonly family: FontFamily;
  readonly weight: number;
}

/** The name of a family set in itself, at the nearest weight that it has; nothing is faked. */
export function FaceName({ family, weight }: FaceNameProps) {
  const fontFamily = useFace(family);
  return (
    <span style={{ fontFamily, fontWeight: nearestWeight(family, weight), fontSynthesis: 'none' }}>
      {family.name}
    </span>
  );
}
