import { reason, type Reason } from '../reason';
import type { Line } from '../shades';
import { hasGreyToCover } from './grey';
import type { HouseRules } from './house-rules';
import { LIFTING, levelsToMove, liftLimit, liftOf } from './lift';

export type DeveloperChoice =
  | {
      ok: true;
      /** The strength to reach for first, and any other that this class's school holds just as good. */
      vol: number;
      alsoVol: { vol: number; onlyWithExtraNatural: boolean }[];
      reasons: Reason[];
    }
  | { ok: false; reasons: Reason[] };

/** Nearly all white: too little pigment left for a stronger developer to lift (F8). */
const NEARLY_ALL_WHITE = 0.9;

/**
 * The developer a task asks for: the weakest of the line that can be counted on for the lift (D2), not below 20 vol
 * where grey has to be covered (F8). Fails, with the reason, where the line cannot lift that far.
 */
export function chooseDeveloper(
  task: { naturalLevel: number; targetLevel: number; greyShare: number },
  line: Line,
  rules: HouseRules,
): DeveloperChoice {
  const levels = levelsToMove(task.naturalLevel, task.targetLevel);
  const strengths = [...line.developersVol].sort((a, b) => a - b);

  if (!LIFTING.includes(line.kind)) {
    if (levels > 0)
      return { ok: false, reasons: [reason('developer.demiCannotLift', 'D1', { levels, line: line.name })] };
    return {
      ok: true,
      vol: strengths[0],
      alsoVol: [],
      reasons: [reason('developer.ownLiquid', 'D1', { vol: strengths[0], line: line.name })],
    };
  }

  const nearlyWhite = task.greyShare >= NEARLY_ALL_WHITE;
  const lifting = Math.max(0, levels);
  const forLift = strengths.find((vol) => liftOf(vol, line).typical >= lifting);
  if (forLift === undefined && !nearlyWhite) {
    return {
      ok: false,
      reasons: [reason('developer.beyondLift', 'D2', { levels, limit: liftLimit(line), line: line.name })],
    };
  }
  const reasons: Reason[] = [];
  if (!hasGreyToCover(task.greyShare)) {
    reasons.push(
      lifting > 0
        ? reason('developer.forLift', 'D2', { vol: forLift!, levels: lifting })
        : reason('developer.depositOnly', 'F7', { vol: forLift! }),
    );
    return { ok: true, vol: forLift!, alsoVol: [], reasons };
  }
  const standard = strengths.find((vol) => vol >= 20) ?? strengths[strengths.length - 1];
  if (nearlyWhite) {
    return {
      ok: true,
      vol: standard,
      alsoVol: [],
      reasons: [reason('developer.nearlyAllWhite', 'F8', { vol: standard, grey: task.greyShare })],
    };
  }
  // Lift for the pigmented strands and cover for the white: the stronger need decides, grey alone never asks above 20.
  const vol = Math.max(standard, forLift!);
  reasons.push(
    vol > standard
      ? reason('developer.forLiftOverGrey', 'D2', { vol, levels: lifting })
      : reason('developer.forGrey', 'F8', { vol, grey: task.greyShare }),
  );
  // The other school on resistant grey: up to 30 vol with extra-pigment naturals while some natural pigment is left.
  const stronger =
    rules.resistantGrey === 'max30' && task.greyShare > 0.75 && vol < 30 && strengths.includes(30);
  if (stronger) reasons.push(reason('developer.otherSchoolGrey', 'F8', { vol: 30 }));
  return { ok: true, vol, alsoVol: stronger ? [{ vol: 30, onlyWithExtraNatural: true }] : [], reasons };
}
