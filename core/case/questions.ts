/** What a client is asked before anything is mixed (C3). */
export const CONSULTATION_QUESTIONS = [
  'lastColour',
  'reactions',
  'scalp',
  'medicines',
  'metallicSalts',
  'chemical',
  'habits',
  'upkeep',
  'budget',
  'mustKeep',
] as const;
/** Questions that a client answers in words of their own, where the case has some. */
export const TOLD = [
  'medicines',
  'chemical',
  'habits',
  'budget',
  'mustKeep',
] as const satisfies readonly (typeof CONSULTATION_QUESTIONS)[number][];
export type ConsultationQuestion = (typeof CONSULTATION_QUESTIONS)[number];
/** C1–C3. */
export const TESTS = ['patch', 'strand', 'incompatibility', 'elasticity', 'porosity'] as const;
export type HairTest = (typeof TESTS)[number];
