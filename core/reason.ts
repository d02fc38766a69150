/**
 * A reason as data. The interface puts it into words in any language, so the core never holds a sentence.
 * `rule` is the handbook's id of the rule it rests on (L1, U1, D2 …), so that a finding can be looked up.
 */
export interface Reason {
  /** Code of the words that say it. */
  code: string;
  /** Figures and names that the words need. */
  params: Record<string, string | number | boolean>;
  /** Id of the handbook’s rule it rests on (L1, U1 …); left out where it is plain. */
  rule?: string;
}

/** A reason as data: a code, the rule it rests on, and what its words need. */
export function reason(code: string, rule: string | undefined, params: Reason['params'] = {}): Reason {
  return rule === undefined ? { code, params } : { code, params, rule };
}
