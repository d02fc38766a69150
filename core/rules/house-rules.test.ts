import { DEFAULT_HOUSE_RULES, hasPassed, houseRulesSchema } from './house-rules';

describe('a pass', () => {
  it('begins at the pass mark of the class, three quarters unless it says otherwise', () => {
    expect(DEFAULT_HOUSE_RULES.passMark).toBe(75);
    expect(hasPassed(75, 100, DEFAULT_HOUSE_RULES)).toBe(true);
    expect(hasPassed(74.75, 100, DEFAULT_HOUSE_RULES)).toBe(false);
    expect(hasPassed(9, 12, DEFAULT_HOUSE_RULES)).toBe(true);
    expect(hasPassed(8.75, 12, DEFAULT_HOUSE_RULES)).toBe(false);
    expect(hasPassed(60, 100, { passMark: 60 })).toBe(true);
    expect(hasPassed(59.75, 100, { passMark: 60 })).toBe(false);
    expect(hasPassed(0, 0, DEFAULT_HOUSE_RULES)).toBe(false);
  });
  it('is between one and a hundred per cent', () => {
    for (const [passMark, ok] of [
      [0, false],
      [1, true],
      [100, true],
      [101, false],
    ] as const)
      expect({ passMark, ok: houseRulesSchema.safeParse({ passMark }).success }).toEqual({ passMark, ok });
  });
});
