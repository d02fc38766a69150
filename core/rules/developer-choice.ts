import type { Tone } from '../colour';
import type { DeveloperPart, Line } from '../product';
import { type Reason, reason } from '../reason';
import { levelsToMove, LIFTING, STRENGTHS_VOL, liftOf, liftLimit, pourOf, mayDilute } from './developer';
import { hasGreyToCover } from './grey';
import type { HouseRules } from './house-rules';
import { isRed, REDS } from './processing';

interface Task {
  naturalLevel: number;
  targetLevel: number;
  greyShare: number;
  /** Red, copper or mahogany on hair never coloured, by {@link asksForRedOnNatural}. */
  redOnNatural?: boolean;
}

export type DeveloperChoice =
  | {
      /** Whether it worked. */
      ok: true;
      /** The strength to reach for first, and any other that this class's school holds just as good. */
      vol: number;
      /** What it is poured of: one developer, two, or one and water. */
      pour: DeveloperPart[];
      /** Other strengths that are as good, volumes. */
      alsoVol: { vol: number; onlyWithExtraNatural: boolean }[];
      /** Why, in the words of the interface. */
      reasons: Reason[];
    }
  | { ok: false; reasons: Reason[] };

/** Standard strength for grey (F8). */
const GREY_VOL = 20;
/** Strength that deposits and lifts nothing (D2). */
const DEPOSITS = 10;
/** Levels are read to the half. */
const HALF = 0.5;
/**
 * Reds take on natural hair of 4 to 6 by permanent colour and 20 vol; on lighter hair, and where colour or lightener has
 * been, low-strength colour sets them (F9).
 */
export const asksForRedOnNatural = (naturalLevel: number, { primary }: Tone): boolean =>
  isRed(primary) &&
  naturalLevel >= REDS.depositLevels.min - HALF &&
  naturalLevel <= REDS.depositLevels.max + HALF;

/** Nearly all white: too little pigment left for a stronger developer to lift (F8). */
const NEARLY_ALL_WHITE = 0.9;

/**
 * The developer a task asks for: the weakest of the line that can be counted on for the lift (D2), not below 20 vol
 * where grey has to be covered (F8). Fails, with the reason, where the line cannot lift that far.
 */
export function chooseDeveloper(task: Task, line: Line, rules: HouseRules): DeveloperChoice {
  const levels = levelsToMove(task.naturalLevel, task.targetLevel);
  const strengths = [...line.developersVol].sort((a, b) => a - b);

  if (!LIFTING.includes(line.kind)) {
    if (levels > 0)
      return { ok: false, reasons: [reason('developer.demiCannotLift', 'D1', { levels, line: line.name })] };
    return {
      ok: true,
      vol: strengths[0],
      pour: [{ vol: strengths[0], parts: 1 }],
      alsoVol: [],
      reasons: [reason('developer.ownLiquid', 'D1', { vol: strengths[0], line: line.name })],
    };
  }

  const nearlyWhite = task.greyShare >= NEARLY_ALL_WHITE;
  const lifting = Math.max(0, levels);
  const forLift = [...new Set([...STRENGTHS_VOL, ...strengths])]
    .sort((a, b) => a - b)
    .find((vol) => liftOf(vol, line).typical >= lifting);
  const covers = hasGreyToCover(task.greyShare);
  if (forLift === undefined && !nearlyWhite) {
    return {
      ok: false,
      reasons: [reason('developer.beyondLift', 'D2', { levels, limit: liftLimit(line), line: line.name })],
    };
  }
  // Nearly all white has too little pigment left to lift; else the stronger need decides, and grey alone never asks above 20.
  const forRed = task.redOnNatural ? REDS.depositVol : 0;
  const needed = nearlyWhite ? GREY_VOL : Math.max(covers ? GREY_VOL : 0, forRed, forLift!);
  const found = fromShelf(needed, line, rules);
  if (!found)
    return { ok: false, reasons: [reason('developer.notOnShelf', 'D8', { vol: needed, line: line.name })] };
  const { vol, pour } = found;
  const reasons = [whyStrength(task, vol, lifting, nearlyWhite)];
  if (pour.length > 1)
    reasons.push(
      pour[1].vol === 0
        ? reason('developer.thinned', 'D8', {
            vol,
            stock: pour[0].vol,
            parts: pour[0].parts,
            other: pour[1].parts,
          })
        : reason('developer.mixed', 'D8', {
            vol,
            stock: pour[0].vol,
            second: pour[1].vol,
            parts: pour[0].parts,
            other: pour[1].parts,
          }),
    );
  // The other school on resistant grey: up to 30 vol with extra-pigment naturals while some natural pigment is left.
  const stronger =
    !nearlyWhite &&
    rules.resistantGrey === 'max30' &&
    task.greyShare > 0.75 &&
    vol < 30 &&
    strengths.includes(30);
  if (stronger) reasons.push(reason('developer.otherSchoolGrey', 'F8', { vol: 30 }));
  const alsoVol = stronger ? [{ vol: 30, onlyWithExtraNatural: true }] : [];
  // Where nothing is lifted or covered a red may be laid on by the strength that only deposits, too (D2, F9).
  if (forRed > Math.max(forLift ?? 0, covers ? GREY_VOL : 0) && strengths.includes(DEPOSITS))
    alsoVol.push({ vol: DEPOSITS, onlyWithExtraNatural: false });
  return { ok: true, vol, pour, alsoVol, reasons };
}

function whyStrength(task: Task, vol: number, lifting: number, nearlyWhite: boolean): Reason {
  if (!hasGreyToCover(task.greyShare))
    return lifting > 0
      ? reason('developer.forLift', 'D2', { vol, levels: lifting })
      : task.redOnNatural
        ? reason('developer.forRed', 'F9', { vol })
        : reason('developer.depositOnly', 'F7', { vol });
  if (nearlyWhite) return reason('developer.nearlyAllWhite', 'F8', { vol, grey: task.greyShare });
  return vol > GREY_VOL
    ? reason('developer.forLiftOverGrey', 'D2', { vol, levels: lifting })
    : reason('developer.forGrey', 'F8', { vol, grey: task.greyShare });
}

/** A line whose strengths are not the usual ones serves with one that is this little above what is needed. */
const NEAR_ENOUGH_VOL = 5;

function fromShelf(
  needed: number,
  line: Line,
  rules: HouseRules,
): { vol: number; pour: DeveloperPart[] } | null {
  const own = line.developersVol
    .filter((vol) => vol >= needed && vol <= needed + NEAR_ENOUGH_VOL)
    .sort((a, b) => a - b)[0];
  if (own !== undefined) return { vol: own, pour: [{ vol: own, parts: 1 }] };
  const pour = pourOf(needed, line.developersVol, mayDilute(line, rules));
  return pour && { vol: needed, pour };
}
