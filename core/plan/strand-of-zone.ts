import { levelOfLightness } from '../colour';
import {
  NO_DYE,
  brownBlackOfLevel,
  labOfStrand,
  levelOfPigmented,
  lightenedStrand,
  naturalStrand,
  type Strand,
} from '../hair';
import { apply, combine, shadeLoad, strandAfter } from '../process';
import { VIVID_MINUTES, vividMix } from './target';
import { fromScalpCm, zoneOf, type Head, type HeadZone, type History } from './head';

/** Brown dye at which the pigmented strands read as the level; bisection, since level falls as brown rises. */
function withBrownTo(level: number, strand: Strand): Strand {
  let low = 0;
  let high = 12;
  const brown = (amount: number): Strand => ({ ...strand, dye: { ...strand.dye, brown: amount } });
  if (levelOfPigmented(strand) <= level) return strand;
  for (let step = 0; step < 30; step++) {
    const middle = (low + high) / 2;
    if (levelOfPigmented(brown(middle)) > level) low = middle;
    else high = middle;
  }
  return brown(low);
}

function coloured(
  grown: Strand,
  natural: number,
  { level, tone, faded }: Extract<History, { kind: 'coloured' }>,
): Strand {
  const load = shadeLoad(level, tone);
  const holds = 1 - faded;
  // Colour that is lighter than the hair grew was lifted on the way.
  const lifted =
    level > natural ? { ...grown, brownBlack: lightenedStrand(level, natural).brownBlack } : grown;
  const dye = combine(load.base, load.tone, level > natural ? holds : 0, holds);
  const onWhite = { ...combine(NO_DYE, load.tone, 0, holds), brown: brownBlackOfLevel(level) * holds };
  return withBrownTo(level, { ...lifted, dye, dyeOnWhite: onWhite });
}

/** The strand of a zone as it comes in, grown and with its history. @throws RangeError when the head lacks the zone. */
export function strandOfZone(head: Head, zone: HeadZone): Strand {
  const found = zoneOf(head, zone);
  if (!found) throw new RangeError(`the head has no zone ${zone}`);
  const { naturalLevel, greyShare, porosity, history, damage } = found;
  const grown: Strand = {
    ...naturalStrand(naturalLevel, {
      white: greyShare,
      porosity,
      diameter: head.diameter,
      fromScalpCm: fromScalpCm(head, zone),
    }),
    damage,
  };
  if (history.kind === 'untouched') return grown;
  if (history.kind === 'coloured') return coloured(grown, naturalLevel, history);
  const level = Math.max(naturalLevel, history.level);
  const bared: Strand = {
    ...grown,
    brownBlack: Math.min(grown.brownBlack, lightenedStrand(level, naturalLevel).brownBlack),
  };
  if (history.kind === 'lightened') return bared;
  const worn = strandAfter(apply(vividMix(history.dye), bared), VIVID_MINUTES);
  const left = 1 - history.faded;
  return {
    ...worn,
    damage,
    dye: combine(worn.dye, NO_DYE, left, 0),
    dyeOnWhite: combine(worn.dyeOnWhite, NO_DYE, left, 0),
  };
}

/** Level the whole zone shows, white strands included. */
export const seenLevel = (strand: Strand) => levelOfLightness(labOfStrand(strand).l);
