import { type Bowl, developerGrams, bowlVol } from '../../card';
import { partName } from '../../case';
import { type Directions, directionsFor } from '../../method';
import { hasDeveloper } from '../../product';
import { PRICES, lossAt, dilutionRuling, liftOf } from '../../rules';
import { type MarkingContext, placeParams } from '../context';
import { type Finding, finding } from '../finding';
import type { WorkedPlace, WorkedApplication } from '../worked-place';
import { fault, type FaultOf } from '../faults';

const usesWater = ({ developer }: Bowl) => developer.some(({ vol, grams }) => vol === 0 && grams > 0);

function strengthOf(
  part: WorkedPlace,
  worked: WorkedApplication,
  directions: Directions,
  { rules }: MarkingContext,
): Finding {
  const { goal, technique } = part;
  const at = placeParams(goal);
  const place = partName(goal.part);
  const { bowl, line, role } = worked;
  const is = (loss: number, code: FaultOf<'developer'>, rule: string | undefined, params = {}) =>
    finding(place, loss, fault(`developer.${code}`, rule, { ...at, line: line.name, ...params }), role);
  if (!hasDeveloper(line.kind))
    return developerGrams(bowl) > 0 ? is(PRICES.developer.notNeeded, 'notNeeded', 'D1') : is(0, 'none', 'D1');
  const vol = bowlVol(bowl);
  if (vol === null) return is(1, 'open', undefined);
  if (part.leftover) return is(0, 'leftover', 'A1', { way: part.leftover.way });
  const given = Math.round(vol * 10) / 10;
  const extra = worked.shades.some(({ shade }) => shade.series === 'extraNatural')
    ? directions.volsWithExtraNatural
    : [];
  const accepted = [...directions.vols, ...extra];
  const nearest = accepted.reduce(
    (best, value) => (Math.abs(value - given) < Math.abs(best - given) ? value : best),
    accepted[0] ?? 0,
  );
  const expected = accepted[0] ?? 0;
  const params = { expected, given, levels: goal.target.level - goal.present };
  // The liquid of a remover is its own and no water.
  if (usesWater(bowl) && line.kind !== 'remover') {
    const ruling = dilutionRuling(line, rules);
    if (ruling !== 'alwaysHere' && ruling !== 'lineAllows')
      return is(PRICES.developer.againstDirections, 'noDilution', 'D5', params);
  }
  const strange = bowl.developer.find(
    ({ vol: poured, grams }) => grams > 0 && poured > 0 && !line.developersVol.includes(poured),
  );
  const off = Math.abs(nearest - given);
  const between = role === 'lighten' && given < Math.max(...accepted) && given > Math.min(...accepted);
  const loss = between ? 0 : lossAt(PRICES.developer.volsOff, off);
  if (strange && loss < PRICES.developer.notOfLine)
    return is(PRICES.developer.notOfLine, 'notOfLine', 'D1', { ...params, vol: strange.vol });
  if (loss === 0) return is(0, bowl.developer.length > 1 ? 'rightBlend' : 'right', 'D2', params);
  if (role === 'lighten') {
    const most = Math.max(...accepted);
    return is(loss, given > most ? 'lightenerStrong' : 'lightenerVol', 'D4', {
      ...params,
      most,
      place: goal.scalpContact,
    });
  }
  if (given < nearest)
    return goal.greyShare > 0 && goal.target.level <= goal.present
      ? is(loss, 'tooWeakForGrey', 'F8', params)
      : is(loss, 'tooWeak', 'D2', { ...params, lifts: liftOf(given, line).typical });
  const liftsAgain = technique === 'deposit' && goal.history.kind === 'lightened';
  return is(loss, liftsAgain ? 'liftOnLift' : 'tooStrong', 'D7', params);
}

/** What the line of a step says for a layer; null where the line cannot do it. */
export function directionsOfApplication(
  { goal, technique }: WorkedPlace,
  required: WorkedPlace['requiredMixes'][number]['mix'],
  worked: WorkedApplication,
  context: MarkingContext,
  startsFirst = false,
): Directions | null {
  return directionsFor(goal, technique, required, worked.line, context.rules, startsFirst);
}

/** Findings on the strength of every application (D1, D2). */
export function markDeveloper(context: MarkingContext): Finding[] {
  return context.parts.flatMap((part): Finding[] => {
    const at = placeParams(part.goal);
    const place = partName(part.goal.part);
    const open = () => finding(place, 1, fault('developer.open', undefined, at));
    if (part.requiredMixes.length === 0 && !part.ruling.allowed) return [open()];
    return part.requiredMixes.map(({ mix, worked }) => {
      if (!worked) return { ...open(), role: mix.role };
      const directions = directionsOfApplication(part, mix, worked, context);
      if (!directions)
        return finding(
          place,
          PRICES.developer.cannot,
          fault('developer.lineCannot', 'D2', { ...at, line: worked.line.name }),
          mix.role,
        );
      return strengthOf(part, worked, directions, context);
    });
  });
}
