/**
 * Where hair of uneven depth is begun: the darkest and most resistant first, the lightest last (A3). Gives the places in
 * that order; equal ones keep theirs.
 * @rule A3
 */
export const darkestFirst = <Place extends { level: number; resistance?: number }>(
  places: readonly Place[],
): Place[] => [...places].sort((a, b) => a.level - b.level || (b.resistance ?? 0) - (a.resistance ?? 0));

/**
 * Where on the head one begins (A4): at the back from the nape up; over grey at the front, where it is thickest; with a
 * thin crown where the hair is densest.
 * @rule A4
 */
export const BEGIN_AT = { usual: 'nape', grey: 'front', thinCrown: 'densest' } as const;
/** Partings in millimetres: fine for colour and lightener, wide for an all-over gloss (A4). */
export const PARTINGS_MM = { fine: { min: 6, max: 12 }, gloss: 25 } as const;

/**
 * Hair grows about this much a month, is retouched at four to six weeks, and past this length new growth lies outside the
 * warmth of the scalp and is worked as two (A5).
 * @rule A5
 */
export const GROWTH = { cmAMonth: 1.25, retouchWeeks: { min: 4, max: 6 }, twoZonesFromCm: 2 } as const;
/** Weeks after which new growth has come to a length, cm. */
export const weeksToGrow = (cm: number): number => (cm / GROWTH.cmAMonth) * (52 / 12);

/**
 * Ways hair is taken for a placement, from the hardest root to the softest (A6). The share of hair taken is the share of
 * lightness; hair left out is depth.
 * @rule A6
 */
export const TAKEN_AS = ['slice', 'weave', 'fineWeave', 'backCombedWeave'] as const;

/**
 * Placements a service may ask for (A7).
 * @rule A7
 */
export const PLACEMENT_SERVICES = [
  'retouch',
  'allOver',
  'highlights',
  'lowlights',
  'handPainted',
  'darkToLight',
  'rootShadow',
  'melt',
  'zoneCorrection',
  'cleanse',
] as const;

/**
 * Textured hair: lower strength for longer, low tension, the curl's spring checked, and no overlap (A8). Strengths that
 * serve it, volumes.
 * @rule A8
 */
export const TEXTURED_HAIR = { mostVol: 20, checkSpring: true, overlap: false } as const;
