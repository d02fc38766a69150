/** Section 13, in the order they matter at the chair. Each is shown where it applies; the words are the interface's. */
export const CAUTIONS = [
  'caution.learningAid',
  'caution.patchTest',
  'caution.scalp',
  'caution.metallicSalts',
  'caution.gloves',
  'caution.notLashes',
  'caution.age',
  'caution.openBowl',
] as const;
