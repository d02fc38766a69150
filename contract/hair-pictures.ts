/** Sizes in CSS pixels that the hair of an exercise is drawn at: on the bench, of one region of several, on a phone, in a list. */
export const HAIR_SIZES = {
  strand: { width: 128, height: 450 },
  region: { width: 128, height: 400 },
  phone: { width: 60, height: 260 },
  listed: { width: 72, height: 170 },
} as const;
export type HairSize = keyof typeof HAIR_SIZES;
