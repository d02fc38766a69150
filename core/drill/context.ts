import { z } from 'zod';
import { LIGHTS, type Light } from '../colour';
import { type Line, FORMULA_KINDS, shippedLine, FORMULA_LINES } from '../product';
import { type HouseRules, DEFAULT_HOUSE_RULES, type HouseRule } from '../rules';
import { type Term, term } from './item';
import { Unfit } from './random-draw';

/** What an educator may narrow practice to. */
export const scopeSchema = z
  .object({
    minLevel: z.number().int().min(1).max(10),
    maxLevel: z.number().int().min(1).max(10),
    lights: z.array(z.enum(LIGHTS)).min(1),
  })
  .refine(({ minLevel, maxLevel }) => maxLevel - minLevel >= 2, {
    path: ['maxLevel'],
    params: { code: 'spanTooShort' },
  });
export type Scope = z.infer<typeof scopeSchema>;
export const FULL_SCOPE: Scope = { minLevel: 1, maxLevel: 10, lights: [...LIGHTS] };

/** All that an item depends on besides its spec. */
export interface DrillContext {
  /** House rules that hold. */
  rules: HouseRules;
  /** Levels and lights that questions keep to. */
  scope: Scope;
  /** The college's own lines, as they were when the item was made; shipped ones take part by themselves. */
  ownLines?: readonly Line[];
}
export const PLAIN_CONTEXT: DrillContext = { rules: DEFAULT_HOUSE_RULES, scope: FULL_SCOPE };

/** Whole levels of a scope, within a span. */
export const levelsOf = ({ minLevel, maxLevel }: Scope, from = 1, to = 10): number[] => {
  const [low, high] = [Math.max(minLevel, from), Math.min(maxLevel, to)];
  return Array.from({ length: Math.max(0, high - low + 1) }, (_, i) => low + i);
};

/**
 * Spans of levels that are practised together, so that what is practised never says what the answer is. They overlap: a
 * scope of three levels has two of one span at least.
 */
export const LEVEL_SPANS = { darkLevels: [1, 5], mediumLevels: [5, 8], lightLevels: [8, 10] } as const;
export type LevelSpan = keyof typeof LEVEL_SPANS;
const isSpan = (facet: string): facet is LevelSpan => Object.hasOwn(LEVEL_SPANS, facet);

/** Spans with two levels of a scope at least, within a span of the skill's own. */
export const spansIn = (levels: readonly number[]): LevelSpan[] =>
  (Object.keys(LEVEL_SPANS) as LevelSpan[]).filter(
    (span) =>
      levels.filter((level) => level >= LEVEL_SPANS[span][0] && level <= LEVEL_SPANS[span][1]).length > 1,
  );
/** Levels of a span among those given. @throws Unfit for a facet that is no span */
export function levelsOfSpan(facet: string, levels: readonly number[]): number[] {
  if (!isSpan(facet)) throw new Unfit(`${facet} is no span of levels`);
  const [from, to] = LEVEL_SPANS[facet];
  return levels.filter((level) => level >= from && level <= to);
}

/** The light of an item: daylight until the hardest steps, if daylight is among those allowed. */
export function lightFor({ lights }: Scope, step: number, pick: <T>(from: readonly T[]) => T): Light {
  if (step < 4 && lights.includes('daylight')) return 'daylight';
  return pick(lights);
}

/** @throws Unfit for a line that is neither shipped nor the college's own. */
export function lineNamed(id: string, { ownLines = [] }: Pick<DrillContext, 'ownLines'> = {}): Line {
  const line = shippedLine(id) ?? ownLines.find((own) => own.id === id);
  if (!line) throw new Unfit(`no line ${id}`);
  return line;
}

/** Lines that a mix of shades and developer is formulated with: shipped, then the college's own. */
export const formulaLines = ({ ownLines = [] }: Pick<DrillContext, 'ownLines'>): readonly Line[] => [
  ...FORMULA_LINES,
  ...ownLines.filter(({ kind }) => FORMULA_KINDS.includes(kind)),
];

/**
 * The school that holds in this class on a point where good schools differ, said beside every question whose answer
 * rests on it; the words say that another school exists.
 */
export const houseFact = (rules: HouseRules, rule: HouseRule): Term =>
  term(`fact.house.${rule}.${rules[rule]}`, { rule });
