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

/** How far past its level hair has to be lifted for colour of that level and tone to lie on it, at most. */
const LIFTED_PAST = 2;

function coloured(
  grown: Strand,
  natural: number,
  { level, tone, faded }: Extract<History, { kind: 'coloured' }>,
): Strand {
  const load = shadeLoad(level, tone);
  const holds = 1 - faded;
  const lighter = level > natural;
  const dye = combine(load.base, load.tone, lighter ? holds : 0, holds);
  const onWhite = { ...combine(NO_DYE, load.tone, 0, holds), brown: brownBlackOfLevel(level) * holds };
  const dyed: Strand = { ...grown, dye, dyeOnWhite: onWhite };
  if (!lighter) return withBrownTo(level, dyed);
  // Colour that is lighter than the hair grew was lifted on the way, far enough for its tone to lie on it.
  for (let past = 0; past <= LIFTED_PAST; past += 0.25) {
    const lifted = { ...dyed, brownBlack: lightenedStrand(level + past, natural).brownBlack };
    if (levelOfPigmented(lifted) >= level) return withBrownTo(level, lifted);
  }
  return { ...dyed, brownBlack: lightenedStrand(level + LIFTED_PAST, natural).brownBlack };
}

const known = new WeakMap<Head, Map<HeadZone, Strand>>();

/** The strand of a zone as it comes in, grown and with its history. @throws RangeError when the head lacks the zone. */
export function strandOfZone(head: Head, zone: HeadZone): Strand {
  // A head is never changed once made, and asking it costs two bisections: what was found is kept with it.
  const kept = known.get(head) ?? new Map<HeadZone, Strand>();
  known.set(head, kept);
  const strand = kept.get(zone) ?? comesIn(head, zone);
  kept.set(zone, strand);
  return strand;
}

function comesIn(head: Head, zone: HeadZone): Strand {
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
