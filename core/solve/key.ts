import { isFashion } from '../colour';
import { amountGuide, type DeveloperPart } from '../measure';
import { reason, type Reason } from '../reason';
import { shadesOf, type Line } from '../shades';
import {
  chooseDeveloper,
  counterAt,
  greyLimitOf,
  hasGreyToCover,
  isRed,
  keepsWarmthUnder,
  mayDilute,
  levelsToMove,
  naturalShareFor,
  shadeLevelFor,
  underlayAt,
  underlayReasons,
  type Counter,
  type HouseRule,
  type HouseRules,
  type ShareSpan,
  type Underlay,
} from '../theory';
import type { Case } from './case';
import type { MixNeed } from './fit';
import { findMix } from './mix-search';

/** Raised whenever the same case could get another key; stored with every grade. */
export const THEORY_VERSION = 2;

export interface HouseRuleUse {
  rule: HouseRule;
  choice: string;
}

/** The computed answer to a case, with the reasons for each part of it. */
export interface Key {
  version: number;
  levelsToMove: number;
  levelReached: number;
  underlay: Underlay;
  /** What neutralises the warmth, or that it is kept because the target is warm (U3). */
  counter: Counter | 'keep';
  need: MixNeed;
  shades: { label: string; parts: number }[];
  developerVol: number;
  /** What it is poured of, where it is not on the shelf as it is; keys from before know only the strength. */
  pour?: DeveloperPart[];
  alsoVol: { vol: number; onlyWithExtraNatural: boolean }[];
  mayDilute: boolean;
  /** Developer parts to one of colour: the standard, and all that the directions allow. */
  ratio: number;
  ratios: number[];
  minutes: number;
  amount: { minGrams: number; maxGrams: number };
  totalGrams: number;
  reasons: Reason[];
  /** Points where the plan is right by the table but a careful colourist would say more (F3 …). */
  notes: Reason[];
  houseRules: HouseRuleUse[];
}
export type KeyResult = { ok: true; key: Key } | { ok: false; reasons: Reason[] };

function amountReasons(kase: Case): { amount: Key['amount']; totalGrams: number; reasons: Reason[] } {
  const amount = amountGuide(kase.service, kase.density);
  const totalGrams = Math.round((amount.minGrams + amount.maxGrams) / 2 / 5) * 5;
  return {
    amount,
    totalGrams,
    reasons: [
      reason('amount.guide', 'M2', {
        service: kase.service,
        density: kase.density,
        min: amount.minGrams,
        max: amount.maxGrams,
        total: totalGrams,
      }),
    ],
  };
}

function shareReason(span: ShareSpan, greyShare: number, fashion: boolean, line: Line): Reason {
  if (!fashion && hasGreyToCover(greyShare)) return reason('grey.naturalTarget', 'F8', { grey: greyShare });
  if (span.min === 0) return reason('grey.noneNeeded', 'F8', { grey: greyShare });
  if (line.greyShares)
    return reason('grey.lineShare', 'F8', { grey: greyShare, share: span.min, line: line.name });
  return reason('grey.share', 'F8', { grey: greyShare, min: span.min, max: span.max });
}

/** Why no mix of the line is right: the nearest of the needs that cannot be met. */
function whyNoMix(line: Line, need: MixNeed): Reason {
  const shades = shadesOf(line);
  const levels = shades.flatMap(({ level, series }) =>
    level === null || series === 'highLift' ? [] : [level],
  );
  const [lightest, darkest] = [Math.max(...levels), Math.min(...levels)];
  if (need.level > lightest || need.level < darkest) {
    return reason('shade.noLevel', 'F2', { line: line.name, level: need.level, darkest, lightest });
  }
  return reason('shade.noTone', 'T2', { line: line.name, tone: need.tone.primary, level: need.level });
}

/**
 * Computes the right answer to a case from the theory under a class's house rules: levels to move (F1), the pigment
 * that shows (U1), what is done with it (U2, U3), shades and parts (F2, F8, F10), developer (D2, F8), ratio and amount
 * (M1, M2) and minutes (section 6). Where the line cannot do it, the reasons say what stands in the way.
 */
export function computeKey(kase: Case, line: Line, rules: HouseRules): KeyResult {
  const { zone, target } = kase;
  const task = { ...zone, targetLevel: target.level };
  const levels = levelsToMove(zone.naturalLevel, target.level);
  const developer = chooseDeveloper(task, line, rules);
  if (!developer.ok) return developer;

  const greyLimit = greyLimitOf(line.kind);
  if (hasGreyToCover(zone.greyShare) && zone.greyShare > greyLimit)
    return {
      ok: false,
      reasons: [reason('grey.beyondLine', 'F8', { line: line.name, grey: zone.greyShare, limit: greyLimit })],
    };
  const depth = shadeLevelFor(task, rules);
  const fashion = isFashion(target.tone);
  const span =
    !fashion && !hasGreyToCover(zone.greyShare)
      ? { min: 0, max: 1 }
      : naturalShareFor(zone.greyShare, rules, fashion, line);
  const need: MixNeed = { level: depth.level, tone: target.tone, naturalShare: span };
  const found = findMix(line, need);
  if (!found) return { ok: false, reasons: [whyNoMix(line, need)] };

  const keep = keepsWarmthUnder(target.tone);
  const underlay = underlayAt(target.level, rules);
  const minutes = hasGreyToCover(zone.greyShare) ? line.minutes.grey : line.minutes.standard;
  const { amount, totalGrams, reasons: ofAmount } = amountReasons(kase);
  const reasons: Reason[] = [
    reason('lift.levelsToMove', 'F1', { natural: zone.naturalLevel, target: target.level, levels }),
    ...underlayReasons(target.level, rules),
    keep
      ? reason('tone.keepWarmth', 'U3', { underlay, tone: target.tone.primary })
      : reason('tone.neutralise', 'U2', { underlay, counter: counterAt(target.level) }),
    ...depth.reasons,
    shareReason(span, zone.greyShare, fashion, line),
    ...developer.reasons,
    reason('ratio.line', 'M1', { line: line.name, ratio: line.ratios[0] }),
    ...ofAmount,
    reason(hasGreyToCover(zone.greyShare) ? 'minutes.grey' : 'minutes.standard', 'R7', {
      line: line.name,
      minutes,
      timerStarts: rules.timerStarts,
    }),
  ];
  const notes: Reason[] = [];
  if (levels > 2) notes.push(reason('note.rootWarmth', 'F3', { levels }));
  if (levels < -2) notes.push(reason('note.fillFirst', 'F6', { levels: -levels }));
  if (zone.greyShare > 0.5) notes.push(reason('note.greyOrder', 'F8', { grey: zone.greyShare }));
  if (zone.porosity === 'high') notes.push(reason('note.porousGrabs', 'F11'));
  if (isRed(target.tone.primary)) notes.push(reason('note.redFades', 'F9'));

  return {
    ok: true,
    key: {
      version: THEORY_VERSION,
      levelsToMove: levels,
      levelReached: target.level,
      underlay,
      counter: keep ? 'keep' : counterAt(target.level),
      need,
      shades: found.mix.map(({ shade, parts }) => ({ label: shade.label, parts })),
      developerVol: developer.vol,
      alsoVol: developer.alsoVol,
      pour: developer.pour,
      mayDilute: mayDilute(line, rules),
      ratio: line.ratios[0],
      ratios: line.ratios,
      minutes,
      amount,
      totalGrams,
      reasons,
      notes,
      houseRules: houseRulesUsed(rules, {
        levels,
        greyShare: zone.greyShare,
        byTable: fashion && !line.greyShares,
      }),
    },
  };
}

/** Only the house rules this case rested on: a rule that changed nothing is not worth a student's reading. */
function houseRulesUsed(
  rules: HouseRules,
  { levels, greyShare, byTable }: { levels: number; greyShare: number; byTable: boolean },
): HouseRuleUse[] {
  const used: HouseRule[] = ['underlay', 'diluteDeveloper', 'timerStarts'];
  if (levels > 0) used.push('liftByColour');
  if (byTable && hasGreyToCover(greyShare)) used.push('greyShare');
  if (greyShare > 0.75) used.push('resistantGrey');
  return used.map((rule) => ({ rule, choice: rules[rule] }));
}
