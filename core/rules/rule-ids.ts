/**
 * The rules of the craft by id, as `docs/handbook.md` tells them. Each is decided once in the code, by data or a function
 * marked `@rule` that something uses, or is only told; a test holds both to this list.
 */
const UP_TO = { L: 4, T: 3, U: 6, D: 8, P: 8, F: 13, M: 6, A: 9, R: 8, C: 10 } as const;
export type RuleSection = keyof typeof UP_TO;
export const RULE_SECTIONS = Object.keys(UP_TO) as RuleSection[];

/** Ids by section, L1 to C10. */
export const RULE_IDS: readonly string[] = RULE_SECTIONS.flatMap((section) =>
  Array.from({ length: UP_TO[section] }, (_, i) => `${section}${i + 1}`),
);

/** Rules that the handbook tells and nothing decides by yet. */
export const TOLD_ONLY: readonly string[] = ['A7', 'A8', 'M6', 'C6', 'C9'];
