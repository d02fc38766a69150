import { weighingToleranceGrams } from '../measure';
import { amountFor, bowlGrams, bowlRatio, bowlVol, colourGrams, developerGrams, type Bowl } from '../card';
import { reason } from '../reason';
import { hasDeveloper, type Line } from '../shades';
import { termsOf, type Terms } from '../solve';
import { dilutionRuling, liftOf } from '../theory';
import { falling } from './marked';
import { isLeftoverStep, mean, scored, zoneReason, type JudgeContext, type Scored } from './context';
import type { SeenPart, SeenStep } from './seen';

/** What weighing a blend to the gram makes of its strength. */
const VOL_WITHIN = 1;
const TOO_WEAK_NONE = 15;
const TOO_STRONG_NONE = 20;

const usesWater = ({ developer }: Bowl) => developer.some(({ vol, grams }) => vol === 0 && grams > 0);

function scoreVol(part: SeenPart, seen: SeenStep, terms: Terms, context: JudgeContext): Scored {
  const { task, route } = part;
  const at = zoneReason(task);
  const { bowl, line } = seen;
  if (!hasDeveloper(line.kind)) {
    const poured = developerGrams(bowl) > 0;
    return poured
      ? scored(0.5, reason('mark.developer.notNeeded', 'D1', { ...at, line: line.name }))
      : scored(1, reason('mark.developer.none', 'D1', { ...at, line: line.name }));
  }
  const vol = bowlVol(bowl);
  if (vol === null) return scored(0, reason('mark.developer.open', undefined, at));
  if (part.leftover)
    return scored(1, reason('mark.developer.leftover', 'A1', { ...at, way: part.leftover.way }));
  const given = Math.round(vol * 10) / 10;
  const extra = seen.shades.some(({ shade }) => shade.series === 'extraNatural')
    ? terms.volsWithExtraNatural
    : [];
  const accepted = [...terms.vols, ...extra];
  const expected = accepted[0] ?? 0;
  const levels = task.target.level - task.present;
  const params = { ...at, expected, given, levels, line: line.name };
  const findings = [];
  let share = 1;
  if (accepted.some((one) => Math.abs(one - given) <= VOL_WITHIN))
    findings.push(
      reason(bowl.developer.length > 1 ? 'mark.developer.rightBlend' : 'mark.developer.right', 'D2', params),
    );
  else if (seen.role === 'lighten') {
    const most = Math.max(...accepted);
    const [code, rule] = given > most ? ['lightenerStrong', 'D4'] : ['lightenerVol', 'D4'];
    share =
      given > most
        ? falling(given - most, 0, TOO_STRONG_NONE) * 0.5
        : accepted.some((one) => one < given)
          ? 1
          : 0.5;
    findings.push(
      reason(share === 1 ? 'mark.developer.rightBlend' : `mark.developer.${code}`, rule, {
        ...params,
        most,
        place: task.place,
      }),
    );
  } else if (given < expected) {
    const canLift = levels > 0 && route === 'liftWithColour' && liftOf(given, line).most >= levels;
    share = canLift ? 0.5 : falling(expected - given, 0.5, TOO_WEAK_NONE) * 0.6;
    findings.push(
      reason(canLift ? 'mark.developer.topOfRange' : 'mark.developer.tooWeak', 'D2', {
        ...params,
        lifts: liftOf(given, line).typical,
      }),
    );
  } else {
    share = falling(given - expected, 0.5, TOO_STRONG_NONE) * 0.8;
    const liftsAgain = route === 'deposit' && task.history.kind === 'lightened';
    findings.push(
      reason(liftsAgain ? 'mark.developer.liftOnLift' : 'mark.developer.tooStrong', 'D7', params),
    );
  }
  // The liquid of a remover is its own and no water.
  if (usesWater(bowl) && line.kind !== 'remover') {
    const ruling = dilutionRuling(line, context.rules);
    const may = ruling === 'alwaysHere' || ruling === 'lineAllows';
    if (!may) share = Math.min(share, 0.5);
    findings.push(reason(may ? 'mark.developer.dilutionAllowed' : 'mark.developer.noDilution', 'D5', params));
  }
  const strange = bowl.developer.find(
    ({ vol: poured, grams }) => grams > 0 && poured > 0 && !line.developersVol.includes(poured),
  );
  if (strange) {
    share = Math.min(share, 0.5);
    findings.push(reason('mark.developer.notOfLine', 'D1', { ...params, vol: strange.vol }));
  }
  return scored(share, ...findings);
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

export function markDeveloper(context: JudgeContext): Scored | null {
  return mean(
    context.parts.flatMap((part): Scored[] => {
      const at = zoneReason(part.task);
      if (part.layers.length === 0 && !part.ruling.allowed)
        return [scored(0, reason('mark.developer.open', undefined, at))];
      return part.layers.map(({ layer, seen }) => {
        if (!seen) return scored(0, reason('mark.developer.open', undefined, at));
        const terms = termsSeen(part, layer, seen, context);
        if (!terms)
          return scored(0, reason('mark.developer.lineCannot', 'D2', { ...at, line: seen.line.name }));
        return scoreVol(part, seen, terms, context);
      });
    }),
  );
}

/** Bowls that hold nothing but a leftover with water in it: the water is no part of the ratio. */
const isThinned = ({ parts }: JudgeContext, bowl: Bowl) => {
  const users = parts.filter(({ steps }) => steps.some((seen) => seen.bowl === bowl));
  return users.length > 0 && users.every(({ leftover }) => leftover?.way === 'diluteLeftover');
};
const withoutWater = (bowl: Bowl): Bowl => ({
  ...bowl,
  developer: bowl.developer.filter(({ vol }) => vol > 0),
});

const usedBowls = ({ plan, lineOf }: JudgeContext): { bowl: Bowl; line: Line }[] =>
  plan.bowls.flatMap((bowl) => {
    const line = bowl.lineId ? lineOf(bowl.lineId) : undefined;
    return line && plan.steps.some((step) => step.bowl === bowl.name) ? [{ bowl, line }] : [];
  });

export function markRatio(context: JudgeContext): Scored | null {
  const needed = context.solution.best.bowls.length > 0;
  const used = usedBowls(context);
  if (used.length === 0) return needed ? scored(0, reason('mark.ratio.open', undefined)) : null;
  return mean(
    used.flatMap(({ bowl, line }): Scored[] => {
      if (!hasDeveloper(line.kind)) return [];
      const mixed = isThinned(context, bowl) ? withoutWater(bowl) : bowl;
      const given = bowlRatio(mixed);
      const highLift = bowl.shades.length > 0 && line.highLift && isHighLift(context, bowl);
      const allowed = highLift ? line.highLift!.ratios : line.ratios;
      const rounded = given === null ? 0 : Math.round(given * 100) / 100;
      const params = { bowl: bowl.name, line: line.name, expected: allowed[0], given: rounded };
      if (given === null || given === 0) return [scored(0, reason('mark.ratio.open', undefined, params))];
      const colour = colourGrams(mixed);
      const developer = developerGrams(mixed);
      // M4: three in a hundred, or the grams that the class allows, is careful weighing.
      const right = allowed.some(
        (ratio) =>
          Math.abs(developer - colour * ratio) <=
          weighingToleranceGrams(colour * ratio, context.rules.weighingTolerance),
      );
      if (right) return [scored(1, reason('mark.ratio.right', 'M1', params))];
      const turned = allowed.some((ratio) => ratio !== 1 && Math.abs(1 / ratio - given) < 0.04);
      if (turned) return [scored(0, reason('mark.ratio.turned', 'M1', params))];
      const off = Math.min(...allowed.map((ratio) => Math.abs(given - ratio) / ratio));
      return [
        scored(
          falling(off, 0, 0.6),
          reason(given < allowed[0] ? 'mark.ratio.tooThick' : 'mark.ratio.tooThin', 'M1', params),
        ),
      ];
    }),
  );
}

const isHighLift = ({ parts }: JudgeContext, bowl: Bowl) =>
  parts.some(({ steps }) =>
    steps.some((seen) => seen.bowl === bowl && seen.shades.some(({ shade }) => shade.series === 'highLift')),
  );

export function markAmount(context: JudgeContext): Scored | null {
  const used = usedBowls(context);
  if (used.length === 0)
    return context.solution.best.bowls.length > 0 ? scored(0, reason('mark.amount.open', undefined)) : null;
  return mean(
    used.map(({ bowl }) => {
      const all = context.plan.steps.filter((step) => step.bowl === bowl.name);
      // What is emulsified through the ends is left over from what the bowl was mixed for.
      const own = all.filter((step) => !isLeftoverStep(context, step));
      const steps = own.length > 0 ? own : all;
      const zones = [...new Set(steps.flatMap((step) => step.zones))];
      const guide = amountFor(context.clientCase.head, zones, Math.max(...steps.map(({ share }) => share)));
      const [min, max] = [Math.round(guide.minGrams), Math.round(guide.maxGrams)];
      const given = Math.round(bowlGrams(bowl) * 10) / 10;
      const params = { bowl: bowl.name, min, max, given };
      const slack = weighingToleranceGrams(given, context.rules.weighingTolerance);
      if (given >= min - slack && given <= max + slack)
        return scored(1, reason('mark.amount.right', 'M2', params));
      return given < min
        ? scored(falling((min - given) / min, 0.03, 0.5), reason('mark.amount.tooLittle', 'M2', params))
        : scored(falling((given - max) / max, 0.03, 0.75), reason('mark.amount.tooMuch', 'M2', params));
    }),
  );
}
