/**
 * A reason as data. The interface puts it into words in any language, so the core never holds a sentence.
 * `rule` is the handbook's id of the rule it rests on (L1, U1, D2 …), so that a finding can be looked up.
 */
export interface Reason {
  code: string;
  params: Record<string, string | number | boolean>;
  rule?: string;
}

export function reason(code: string, rule: string | undefined, params: Reason['params'] = {}): Reason {
  return rule === undefined ? { code, params } : { code, params, rule };
}
