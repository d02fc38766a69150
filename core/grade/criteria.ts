import { TONES, toneVector } from '../colour';
import { blendVol, usesWater } from '../measure';
import { reason, type Reason } from '../reason';
import { mixTone, readLabel, type Line, type ShadePart } from '../shades';
import { FIT_TOLERANCE, fitOf, type Case, type Key } from '../solve';
import { countersOf, liftOf, underlayDistance, type HouseRules } from '../theory';
import type { Answer, Criterion } from './answer';
import { EPSILON, falling, marked, type Marked } from './mark';

export interface MarkingContext {
  kase: Case;
  line: Line;
  rules: HouseRules;
  key: Key;
  answer: Answer;
}

const open = (criterion: Criterion): Marked => ({
  share: 0,
  verdict: 'open',
  followed: false,
  findings: [reason(`${criterion}.open`, undefined)],
});

export function mixOf(answer: Answer, line: Line): ShadePart[] {
  return answer.shades.flatMap(({ label, parts }) => {
    const reading = readLabel(line, label);
    return reading.ok ? [{ shade: reading.shade, parts }] : [];
  });
}

function levelReading({ kase, answer }: MarkingContext): Marked {
  if (answer.naturalLevel === null) return open('levelReading');
  const expected = kase.zone.naturalLevel;
  const given = answer.naturalLevel;
  const gap = Math.abs(given - expected);
  // Half a level is the step one reads to: a near miss. Two levels off is another head of hair.
  const share = falling(gap, 0, 2);
  const code = gap === 0 ? 'right' : given < expected ? 'tooDark' : 'tooLight';
  return marked(share, [
    reason(`levelReading.${code}`, code === 'right' ? 'L1' : 'L2', { expected, given, gap }),
  ]);
}

function underlay({ key, rules, answer }: MarkingContext): Marked {
  if (answer.underlay === null) return open('underlay');
  const rows = underlayDistance(answer.underlay, key.levelReached, rules);
  const share = rows === 0 ? 1 : rows === 1 ? 0.5 : 0;
  const params = { expected: key.underlay, given: answer.underlay, level: key.levelReached };
  return marked(share, [
    reason(`underlay.${share === 1 ? 'right' : share > 0 ? 'neighbour' : 'wrong'}`, 'U1', params),
  ]);
}

function counterTone({ key, rules, answer }: MarkingContext): Marked {
  if (answer.counter === null) return open('counterTone');
  const params = { expected: key.counter, given: answer.counter, underlay: key.underlay };
  if (answer.counter === key.counter) {
    return marked(1, [
      reason(
        key.counter === 'keep' ? 'counterTone.kept' : 'counterTone.right',
        key.counter === 'keep' ? 'U3' : 'U2',
        params,
      ),
    ]);
  }
  if (key.counter === 'keep') return marked(0, [reason('counterTone.shouldKeep', 'U3', params)]);
  if (answer.counter === 'keep') return marked(0, [reason('counterTone.shouldNeutralise', 'U2', params)]);
  // Follow-through: the opposite of the pigment the student named, though that name was wrong.
  if (
    answer.underlay !== null &&
    answer.underlay !== key.underlay &&
    countersOf(answer.underlay, rules).includes(answer.counter)
  ) {
    return marked(1, [reason('counterTone.followed', 'U2', { ...params, read: answer.underlay })], true);
  }
  const family = (name: string) =>
    name.toLowerCase().endsWith('violet') && name !== 'blueViolet' ? 'violet' : name;
  if (family(answer.counter) === family(key.counter))
    return marked(0.5, [reason('counterTone.dose', 'U5', params)]);
  return marked(0, [reason('counterTone.wrong', 'U2', params)]);
}

function depth(context: MarkingContext): Marked {
  const { key, line, answer } = context;
  const mix = mixOf(answer, line);
  if (mix.length === 0) return open('depth');
  const { level, levelGap } = fitOf(mix, key.need);
  if (level === null) return marked(0, [reason('depth.noColour', 'F10', { expected: key.need.level })]);
  const share = falling(levelGap - EPSILON, FIT_TOLERANCE.level, 2);
  const params = { expected: key.need.level, given: Math.round(level * 100) / 100 };
  const code = share === 1 ? 'right' : level > key.need.level ? 'tooLight' : 'tooDark';
  return marked(share, [reason(`depth.${code}`, 'F2', params)]);
}

/** Tone gap at which nothing of the wanted tone is left to credit: about the strength of one plain tone. */
const TONE_GAP_NONE = 0.9;

function tone({ key, line, answer }: MarkingContext): Marked {
  const mix = mixOf(answer, line);
  if (mix.length === 0) return open('tone');
  const { toneGap, excusedShare } = fitOf(mix, key.need);
  const share = falling(toneGap - EPSILON, FIT_TOLERANCE.tone, TONE_GAP_NONE);
  const params = { expected: key.need.tone.primary, gap: Math.round(toneGap * 100) / 100 };
  if (share === 1) return marked(1, [reason('tone.right', 'F5', params)]);
  const shown = mixTone(mix);
  const wanted = toneVector(key.need.tone);
  const strengths = {
    shown: Math.hypot(shown.x, shown.y),
    wanted: Math.hypot(wanted.x, wanted.y) * (1 - excusedShare),
  };
  if (strengths.wanted < 0.05) return marked(share, [reason('tone.notNeutral', 'F5', params)]);
  if (strengths.shown < 0.05) return marked(share, [reason('tone.missing', 'F5', params)]);
  const cosine = (shown.x * wanted.x + shown.y * wanted.y) / (strengths.shown * strengths.wanted);
  if (cosine < 0) {
    const cool = TONES[key.need.tone.primary].temperature === 'cool';
    return marked(share, [reason(cool ? 'tone.sameSideAsWarmth' : 'tone.cancelsTarget', 'U2', params)]);
  }
  if (cosine > 0.95)
    return marked(share, [
      reason(strengths.shown < strengths.wanted ? 'tone.thin' : 'tone.strong', 'F5', params),
    ]);
  return marked(share, [reason('tone.offDirection', 'F5', params)]);
}

function greyShare({ kase, key, line, answer }: MarkingContext): Marked {
  const mix = mixOf(answer, line);
  if (mix.length === 0) return open('greyShare');
  const { share: given, shareShort } = fitOf(mix, key.need);
  const { min, max } = key.need.naturalShare;
  const params = { min, max, given: Math.round(given * 1000) / 1000, grey: kase.zone.greyShare };
  if (shareShort <= FIT_TOLERANCE.share) return marked(1, [reason('greyShare.right', 'F8', params)]);
  return marked(given / min, [reason(given === 0 ? 'greyShare.none' : 'greyShare.short', 'F8', params)]);
}

/** Developer parts and shares for one reading of the hair; the caller takes the better of two. */
function developerAgainst(
  key: Pick<Key, 'developerVol' | 'alsoVol' | 'levelsToMove'>,
  { line, answer }: MarkingContext,
): { share: number; findings: Reason[] } {
  const given = Math.round(blendVol(answer.developer) * 10) / 10;
  const expected = key.developerVol;
  const params = {
    expected,
    given,
    levels: key.levelsToMove,
    lifts: liftOf(given, line).typical,
    most: liftOf(given, line).most,
  };
  const hasExtraNatural = mixOf(answer, line).some(({ shade }) => shade.series === 'extraNatural');
  const accepted = [
    expected,
    ...key.alsoVol.filter((also) => !also.onlyWithExtraNatural || hasExtraNatural).map((also) => also.vol),
  ];
  // Half a volume is what rounding a blend on a card makes.
  if (accepted.some((vol) => Math.abs(vol - given) <= 0.5)) {
    return {
      share: 1,
      findings: [
        reason(answer.developer.length > 1 ? 'developer.rightBlend' : 'developer.right', 'D2', params),
      ],
    };
  }
  if (given < expected) {
    if (key.levelsToMove > 0 && params.most >= key.levelsToMove) {
      return { share: 0.5, findings: [reason('developer.topOfRange', 'D2', params)] };
    }
    return {
      share: falling(expected - given, 0.5, 15) * 0.6,
      findings: [reason('developer.tooWeak', 'D2', params)],
    };
  }
  return {
    share: falling(given - expected, 0.5, 20) * 0.8,
    findings: [reason('developer.tooStrong', 'D7', params)],
  };
}

function developer(context: MarkingContext & { readKey: Key | null }): Marked {
  const { answer, key, readKey, line } = context;
  if (answer.developer.length === 0) return open('developer');
  const direct = developerAgainst(key, context);
  const followed =
    readKey && readKey.developerVol !== key.developerVol ? developerAgainst(readKey, context) : null;
  const takeFollowed = followed !== null && followed.share > direct.share;
  const best = takeFollowed ? followed : direct;
  const findings = takeFollowed
    ? [
        reason('developer.followed', 'F1', {
          read: answer.naturalLevel!,
          expected: key.developerVol,
          given: Math.round(blendVol(answer.developer) * 10) / 10,
        }),
      ]
    : [...best.findings];
  let share = best.share;
  if (usesWater(answer.developer)) {
    if (!key.mayDilute) {
      share = Math.min(share, 0.5);
      findings.push(reason('developer.noDilution', 'D5', { line: line.name }));
    } else findings.push(reason('developer.dilutionAllowed', 'D5', { line: line.name }));
  }
  const strongest = Math.max(...answer.developer.map(({ vol }) => vol));
  if (answer.developer.some(({ vol }) => vol > 0 && !line.developersVol.includes(vol))) {
    share = Math.min(share, 0.5);
    findings.push(reason('developer.notOfLine', 'D1', { line: line.name, vol: strongest }));
  }
  return marked(share, findings, takeFollowed);
}

function ratio({ key, line, answer }: MarkingContext): Marked {
  if (answer.ratio === null) return open('ratio');
  const given = answer.ratio;
  const params = { expected: key.ratio, given, line: line.name };
  if (key.ratios.some((allowed) => Math.abs(allowed - given) < 0.01))
    return marked(1, [reason('ratio.right', 'M1', params)]);
  if (key.ratios.some((allowed) => allowed !== 1 && Math.abs(1 / allowed - given) < 0.01)) {
    return marked(0, [reason('ratio.turned', 'M1', params)]);
  }
  const off = Math.min(...key.ratios.map((allowed) => Math.abs(given - allowed) / allowed));
  return marked(falling(off, 0, 0.6), [
    reason(given < key.ratio ? 'ratio.tooThick' : 'ratio.tooThin', 'M1', params),
  ]);
}

function amount({ key, answer }: MarkingContext): Marked {
  if (answer.totalGrams === null) return open('amount');
  const { minGrams: min, maxGrams: max } = key.amount;
  const given = answer.totalGrams;
  const params = { min, max, given };
  // M4: three in a hundred either way is careful weighing.
  if (given >= min * 0.97 && given <= max * 1.03) return marked(1, [reason('amount.right', 'M2', params)]);
  if (given < min)
    return marked(falling((min - given) / min, 0.03, 0.5), [reason('amount.tooLittle', 'M2', params)]);
  return marked(falling((given - max) / max, 0.03, 0.75), [reason('amount.tooMuch', 'M2', params)]);
}

function minutes({ key, rules, line, answer }: MarkingContext): Marked {
  if (answer.minutes === null) return open('minutes');
  const given = answer.minutes;
  const params = { expected: key.minutes, given, line: line.name };
  const gap = Math.abs(given - key.minutes);
  const share = falling(gap, rules.minutesTolerance, rules.minutesTolerance + 15);
  const code = share === 1 ? 'right' : given < key.minutes ? 'tooShort' : 'tooLong';
  return marked(share, [reason(`minutes.${code}`, 'R7', params)]);
}

/** Every criterion by name. `readKey` is the key for the level the student read, where that was wrong. */
export const MARK: Record<Criterion, (context: MarkingContext & { readKey: Key | null }) => Marked> = {
  levelReading,
  underlay,
  counterTone,
  depth: (context) => {
    const direct = depth(context);
    if (!context.readKey || context.readKey.need.level === context.key.need.level) return direct;
    const followed = depth({ ...context, key: context.readKey });
    if (followed.share <= direct.share) return direct;
    const params = { read: context.answer.naturalLevel!, expected: context.key.need.level };
    return { ...followed, followed: true, findings: [reason('depth.followed', 'F2', params)] };
  },
  tone,
  greyShare,
  developer,
  ratio,
  amount,
  minutes,
};
