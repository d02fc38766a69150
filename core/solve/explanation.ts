import { type Bowl, type Application, type LineOf, complete } from '../card';
import { amountFor, partName } from '../case';
import { isFashion } from '../colour';
import {
  type PlaceGoal,
  goalsOf,
  type Technique,
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
import type { ModelAnswer } from './solve';

/** Why the model answer is what it is on one part of the head, and what a careful colourist would add. */
export interface Explanation {
  /** Name of the part. */
  part: string;
  /** Why, in the words of the interface. */
  reasons: Reason[];
  /** What a careful colourist would add. */
  notes: Reason[];
}

function aboutWarmth(goal: PlaceGoal, technique: Technique, rules: HouseRules): Reason[] {
  const level = warmthLevelOf(goal, technique);
  if (level === null) return [];
  const underlay = underlayAt(level, rules);
  return [
    ...underlayReasons(level, rules),
    keepsWarmth(goal, technique)
      ? reason('tone.keepWarmth', 'U3', { underlay, tone: goal.target.tone.primary })
      : reason('tone.neutralise', 'U2', { underlay, counter: counterAt(level) }),
  ];
}

function aboutGrey(goal: PlaceGoal, technique: Technique, line: Line, rules: HouseRules): Reason[] {
  if (!coversGrey(goal, technique)) return [];
  const { greyShare: grey, target } = goal;
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
  goal: PlaceGoal,
  technique: Technique,
  { bowl, line, application }: { bowl: Bowl; line: Line; application: Application },
  { head }: ModelAnswer['clientCase'],
  rules: HouseRules,
): Reason[] {
  const found: Reason[] = [];
  const colours = hasShades(line.kind) && line.kind !== 'filler' && !goal.target.vivid;
  if (colours) {
    if (technique === 'liftWithColour')
      found.push(
        ...shadeLevelFor(
          { naturalLevel: goal.natural, targetLevel: goal.target.level, porosity: goal.porosity },
          rules,
        ).reasons,
      );
    found.push(...aboutGrey(goal, technique, line, rules));
    if (bowl.developer.length > 0 && technique !== 'highLift' && technique !== 'refresh')
      found.push(...developerFor(goal, technique, line, rules).reasons);
  }
  const [ratio] = line.ratios;
  if (bowl.developer.length > 0) found.push(reason('ratio.line', 'M1', { line: line.name, ratio }));
  if (!head.regions && application.zones.length === head.zones.length && application.share === 1) {
    const { minGrams, maxGrams } = amountFor(head, application.zones, 1);
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
    const code =
      application.minutes >= line.minutes.grey && hasGreyToCover(goal.greyShare) ? 'grey' : 'standard';
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

function notesOn(goal: PlaceGoal, technique: Technique): Reason[] {
  const { natural, target, greyShare, porosity } = goal;
  const levels = target.level - natural;
  const notes: Reason[] = [];
  if (technique === 'liftWithColour' && levels > 2) notes.push(reason('note.rootWarmth', 'F3', { levels }));
  if (coversGrey(goal, technique) && greyShare > 0.5)
    notes.push(reason('note.greyOrder', 'F8', { grey: greyShare }));
  if (porosity === 'high') notes.push(reason('note.porousGrabs', 'F11'));
  if (!target.vivid && isRed(target.tone.primary)) notes.push(reason('note.redFades', 'F9'));
  return notes;
}

/**
 * Reasons for every part of a model answer: levels to move (F1), the pigment that shows and what is done with it
 * (U1–U3), depth and natural share (F2, F8), developer (D2, D8), ratio, amount and minutes (M1, M2, R7).
 */
export function explain(modelAnswer: ModelAnswer, lineOf: LineOf, rules: HouseRules): Explanation[] {
  const { clientCase, choices } = modelAnswer;
  const modelCard = complete(modelAnswer.card);
  return goalsOf(clientCase).flatMap((goal): Explanation[] => {
    const part = partName(goal.part);
    const technique = choices.find((choice) => choice.part === part)?.technique;
    if (!technique || technique === 'leave') return [];
    const { present, target } = goal;
    const steps = modelCard.steps.flatMap((application) => {
      const bowl = modelCard.bowls.find(({ name }) => name === application.bowl);
      const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
      return application.zones.includes(goal.part.zone) && bowl && line ? [{ application, bowl, line }] : [];
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
          ...aboutWarmth(goal, technique, rules),
          ...steps.flatMap((step) => aboutBowl(goal, technique, step, clientCase, rules)),
        ],
        notes: notesOn(goal, technique),
      },
    ];
  });
}
