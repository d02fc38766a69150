import { HAIR_SIZES, type HairSize } from '@cimbel/contract/hair-pictures';
import type { ShownHair } from '@cimbel/core/exercise';
import { HairPicture, onThisScreen } from '../../ui/hair-picture';

/** The hair of an exercise, drawn here where its look is known, as a picture of the server's where it is to be read. */
export function HungHair({ hair, size, label }: { hair: ShownHair; size: HairSize; label: string }) {
  const shown = 'look' in hair ? hair : { src: onThisScreen(`${hair.src}&size=${size}`) };
  return <HairPicture hair={shown} {...HAIR_SIZES[size]} label={label} />;
}
