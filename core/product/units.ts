/**
 * M3. US fluid ounce; creams and liquids are taken as 1 g ≈ 1 ml.
 * @rule M3
 */
export const ML_PER_FL_OZ = 29.57;
/** US fluid ounces of grams (M3). */
export const flOzOfGrams = (grams: number) => grams / ML_PER_FL_OZ;
/** Grams of US fluid ounces (M3). */
export const gramsOfFlOz = (flOz: number) => flOz * ML_PER_FL_OZ;

/**
 * M4. A careful bowl is within 2 g or 3 % per item, whichever is more; a class may set other grams.
 * @rule M4
 */
export const weighingToleranceGrams = (grams: number, leastGrams = 2) => Math.max(leastGrams, 0.03 * grams);
