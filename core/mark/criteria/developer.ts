import { type Bowl, developerGrams, bowlVol } from '../../card';
import { partName } from '../../case';
import { type Terms, termsOf } from '../../method';
import { hasDeveloper } from '../../product';
import { reason } from '../../reason';
import { PRICES, lossAt, dilutionRuling, liftOf } from '../../rules';
import { type JudgeContext, zoneReason } from '../context';
import { type Finding, finding } from '../finding';
import type { SeenPart, SeenStep } from '../worked-place';

const usesWater = ({ developer }: Bowl) => developer.some(({ vol, grams }) => vol === 0 && grams > 0);

function strengthOf(part: SeenPart, seen: SeenStep, terms: Terms, { rules }: JudgeContext): Finding {
  const { task, route } = part;
  const at = zoneReason(task);
  const place = partName(task.part);
  const { bowl, line, role } = seen;
  const is = (loss: number, code: string, rule: string | undefined, params = {}) =>
    finding(place, loss, reason(`mark.developer.${code}`, rule, { ...at, line: line.name, ...params }), role);
  if (!hasDeveloper(line.kind))
    return developerGrams(bowl) > 0 ? is(PRICES.developer.notNeeded, 'notNeeded', 'D1') : is(0, 'none', 'D1');
  const vol = bowlVol(bowl);
  if (vol === null) return is(1, 'open', undefined);
  if (part.leftover) return is(0, 'leftover', 'A1', { way: part.leftover.way });
  const given = Math.round(vol * 10) / 10;
  const extra = seen.shades.some(({ shade }) => shade.series === 'extraNatural')
    ? terms.volsWithExtraNatural
    : [];
  const accepted = [...terms.vols, ...extra];
  const nearest = accepted.reduce(
    (best, one) => (Math.abs(one - given) < Math.abs(best - given) ? one : best),
    accepted[0] ?? 0,
  );
  const expected = accepted[0] ?? 0;
  const params = { expected, given, levels: task.target.level - task.present };
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
      place: task.place,
    });
  }
  if (given < nearest)
    return task.greyShare > 0 && task.target.level <= task.present
      ? is(loss, 'tooWeakForGrey', 'F8', params)
      : is(loss, 'tooWeak', 'D2', { ...params, lifts: liftOf(given, line).typical });
  const liftsAgain = route === 'deposit' && task.history.kind === 'lightened';
  return is(loss, liftsAgain ? 'liftOnLift' : 'tooStrong', 'D7', params);
}

/** What the line of a step says for a layer; null where the line cannot do it. */
export function termsSeen(
  { task, route }: SeenPart,
  layer: SeenPart['layers'][number]['layer'],
  seen: SeenStep,
  context: JudgeContext,
  startsFirst = false,
): Terms | null {
  return termsOf(task, route, layer, seen.line, context.rules, startsFirst);
}

export function markDeveloper(context: JudgeContext): Finding[] {
  return context.parts.flatMap((part): Finding[] => {
    const at = zoneReason(part.task);
    const place = partName(part.task.part);
    const open = () => finding(place, 1, reason('mark.developer.open', undefined, at));
    if (part.layers.length === 0 && !part.ruling.allowed) return [open()];
    return part.layers.map(({ layer, seen }) => {
      if (!seen) return { ...open(), role: layer.role };
      const terms = termsSeen(part, layer, seen, context);
      if (!terms)
        return finding(
          place,
          PRICES.developer.cannot,
          reason('mark.developer.lineCannot', 'D2', { ...at, line: seen.line.name }),
          layer.role,
        );
      return strengthOf(part, seen, terms, context);
    });
  });
}
