import { type Bowl, type Step, type LineOf, withLeftovers } from '../card';
import { amountFor, partName } from '../case';
import { isFashion } from '../colour';
import {
  type Task,
  tasksOf,
  type Route,
  warmthLevelOf,
  keepsWarmth,
  coversGrey,
  developerFor,
} from '../method';
import { type Line, hasShades } from '../product';
import { type Reason, reason } from '../reason';
import {
  type HouseRules,
  underlayAt,
  underlayReasons,
  counterAt,
  naturalShareFor,
  hasGreyToCover,
  shadeLevelFor,
  LIFTING,
  isRed,
} from '../rules';
import type { Solution } from './solve';

/** Why the model answer is what it is on one part of the head, and what a careful colourist would add. */
export interface Explanation {
  part: string;
  reasons: Reason[];
  notes: Reason[];
}

function aboutWarmth(task: Task, route: Route, rules: HouseRules): Reason[] {
  const level = warmthLevelOf(task, route);
  if (level === null) return [];
  const underlay = underlayAt(level, rules);
  return [
    ...underlayReasons(level, rules),
    keepsWarmth(task, route)
      ? reason('tone.keepWarmth', 'U3', { underlay, tone: task.target.tone.primary })
      : reason('tone.neutralise', 'U2', { underlay, counter: counterAt(level) }),
  ];
}

function aboutGrey(task: Task, route: Route, line: Line, rules: HouseRules): Reason[] {
  if (!coversGrey(task, route)) return [];
  const { greyShare: grey, target } = task;
  const fashion = isFashion(target.tone);
  if (!fashion) return [reason('grey.naturalTarget', 'F8', { grey })];
  const { min, max } = naturalShareFor(grey, rules, fashion, line);
  if (min === 0) return [reason('grey.noneNeeded', 'F8', { grey })];
  return [
    line.greyShares
      ? reason('grey.lineShare', 'F8', { grey, share: min, line: line.name })
      : reason('grey.share', 'F8', { grey, min, max }),
  ];
}

function aboutBowl(
  task: Task,
  route: Route,
  { bowl, line, step }: { bowl: Bowl; line: Line; step: Step },
  { head }: Solution['visit'],
  rules: HouseRules,
): Reason[] {
  const found: Reason[] = [];
  const colours = hasShades(line.kind) && line.kind !== 'filler' && !task.target.vivid;
  if (colours) {
    if (route === 'liftWithColour')
      found.push(
        ...shadeLevelFor(
          { naturalLevel: task.natural, targetLevel: task.target.level, porosity: task.porosity },
          rules,
        ).reasons,
      );
    found.push(...aboutGrey(task, route, line, rules));
    if (bowl.developer.length > 0 && route !== 'highLift' && route !== 'refresh')
      found.push(...developerFor(task, route, line, rules).reasons);
  }
  const [ratio] = line.ratios;
  if (bowl.developer.length > 0) found.push(reason('ratio.line', 'M1', { line: line.name, ratio }));
  if (!head.regions && step.zones.length === head.zones.length && step.share === 1) {
    const { minGrams, maxGrams } = amountFor(head, step.zones, 1);
    const total = Math.round((minGrams + maxGrams) / 2);
    found.push(
      reason('amount.guide', 'M2', {
        service: head.length,
        density: head.density,
        min: Math.round(minGrams),
        max: Math.round(maxGrams),
        total,
      }),
    );
  }
  if (colours && LIFTING.includes(line.kind)) {
    const code = step.minutes >= line.minutes.grey && hasGreyToCover(task.greyShare) ? 'grey' : 'standard';
    found.push(
      reason(`minutes.${code}`, 'R7', {
        line: line.name,
        minutes: line.minutes[code],
        timerStarts: rules.timerStarts,
      }),
    );
  }
  return found;
}

function notesOn(task: Task, route: Route): Reason[] {
  const { natural, target, greyShare, porosity } = task;
  const levels = target.level - natural;
  const notes: Reason[] = [];
  if (route === 'liftWithColour' && levels > 2) notes.push(reason('note.rootWarmth', 'F3', { levels }));
  if (coversGrey(task, route) && greyShare > 0.5)
    notes.push(reason('note.greyOrder', 'F8', { grey: greyShare }));
  if (porosity === 'high') notes.push(reason('note.porousGrabs', 'F11'));
  if (!target.vivid && isRed(target.tone.primary)) notes.push(reason('note.redFades', 'F9'));
  return notes;
}

/**
 * Reasons for every part of a model answer: levels to move (F1), the pigment that shows and what is done with it
 * (U1–U3), depth and natural share (F2, F8), developer (D2, D8), ratio, amount and minutes (M1, M2, R7).
 */
export function explain(solution: Solution, lineOf: LineOf, rules: HouseRules): Explanation[] {
  const { visit, choices } = solution;
  const best = withLeftovers(solution.best);
  return tasksOf(visit).flatMap((task): Explanation[] => {
    const part = partName(task.part);
    const route = choices.find((choice) => choice.part === part)?.route;
    if (!route || route === 'leave') return [];
    const { present, target } = task;
    const steps = best.steps.flatMap((step) => {
      const bowl = best.bowls.find(({ name }) => name === step.bowl);
      const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
      return step.zones.includes(task.part.zone) && bowl && line ? [{ step, bowl, line }] : [];
    });
    return [
      {
        part,
        reasons: [
          reason('lift.levelsToMove', 'F1', {
            natural: present,
            target: target.level,
            levels: target.level - present,
          }),
          ...aboutWarmth(task, route, rules),
          ...steps.flatMap((one) => aboutBowl(task, route, one, visit, rules)),
        ],
        notes: notesOn(task, route),
      },
    ];
  });
}
