import { type Condition, LEVELS_IN_ONE_VISIT } from '../process';

/**
 * What fingers up the strand feel, by porosity (C2); uneven tone from root to tip says the same to the eye.
 * @rule C2
 */
export const FEELS = { low: 'smooth', normal: 'slightDrag', high: 'rough' } as const;

/**
 * Usual corrections (C6): what is wrong, and what is done about it.
 * @rule C6
 */
export const CORRECTIONS = {
  warmRoot: 'depositAtOrBelow',
  tooDark: 'removeAndReread',
  band: 'workAlone',
  tooAshy: 'warmOppositeThin',
  vividOut: 'removeLightenTone',
  overToned: 'clarifyAndReread',
  yellowAtNine: 'violetDeposit',
  fadedRedStays: 'workWithIt',
} as const;
/** Deposit that cures a warm root: at the level or one below, and no stronger than this (C6, D7). */
export const WARM_ROOT_CURE = { mostVol: 10, levelsBelow: 1 } as const;

/**
 * Where density is uneven, from wear, glue or heat: the densest first and the thin hairline spared (C7). Gives the areas in
 * that order.
 * @rule C7
 */
const DENSITY_RANK = { dense: 0, medium: 1, sparse: 2 } as const;
export const densestFirst = <Area extends { density: keyof typeof DENSITY_RANK }>(
  areas: readonly Area[],
): Area[] => [...areas].sort((a, b) => DENSITY_RANK[a.density] - DENSITY_RANK[b.density]);

/**
 * Tools (C9): no metal clip or bowl touches oxidative colour, whose dye reacts with it; combs for heat stand heat, and a
 * section is no wider than the plate.
 * @rule C9
 */
export const TOOLS = { metalWithColour: false, sectionWiderThanPlate: false, heatProtection: true } as const;

/** Chemical services and deposits that are asked for (C10). */
export const CHEMICAL_SERVICES = ['none', 'hydroxideRelaxer', 'perm', 'smoothing', 'mineral'] as const;
export type ChemicalService = (typeof CHEMICAL_SERVICES)[number];

/** What a chemical service before allows. */
export interface ChemicalRuling {
  mayLighten: boolean;
  /** Weeks after which colour may be deposited. */
  depositAfterWeeks: number;
  /** Steps by which the strength is lowered. */
  strengthSteps: number;
  strandTest: boolean;
  /** Chelated before anything else. */
  chelateFirst: boolean;
}
const PLAIN: ChemicalRuling = {
  mayLighten: true,
  depositAfterWeeks: 0,
  strengthSteps: 0,
  strandTest: false,
  chelateFirst: false,
};
/**
 * Hydroxide-relaxed hair is never lightened and only deposited on after two weeks; permed or smoothed hair gets a strand
 * test and a strength less; mineral build-up is chelated first (C10).
 * @rule C10
 */
export const CHEMICAL_RULINGS: Record<ChemicalService, ChemicalRuling> = {
  none: PLAIN,
  hydroxideRelaxer: { ...PLAIN, mayLighten: false, depositAfterWeeks: 2, strandTest: true },
  perm: { ...PLAIN, strengthSteps: 1, strandTest: true },
  smoothing: { ...PLAIN, strengthSteps: 1, strandTest: true },
  mineral: { ...PLAIN, chelateFirst: true },
};

/** Levels lightener may move hair in one visit, given its condition and what was done to it (C4, C10). */
export const levelsAfter = (condition: Condition, service: ChemicalService): number =>
  CHEMICAL_RULINGS[service].mayLighten ? LEVELS_IN_ONE_VISIT[condition] : 0;

/**
 * What deceives the eye when a level is read, and which way (L2, L4): each by about half a level, so hair is read clean and
 * dry, in neutral light, against a neutral surround, a thin fan of strands.
 * @rule L2
 */
export const DECEIVES = {
  warmTone: 'lighter',
  coolTone: 'darker',
  shine: 'darker',
  wet: 'darker',
  dryDust: 'lighter',
} as const;
export type Deceiver = keyof typeof DECEIVES;
/** Levels by which each of them deceives, about. */
export const DECEIVES_BY_LEVELS = 0.5;
