import { differenceOf, toneLab, type ToneFamily } from '../colour';
import { greyShows, labOfStrand, naturalStrand, readStrand, type Strand } from '../hair';
import { blendVol } from '../measure';
import { apply, conditionOf, strandAfter, type Application, type Condition, type Mix } from '../process';
import { reason, type Reason } from '../reason';
import type { Line } from '../shades';
import type { Case } from '../solve';
import { strandLook, type TressLook } from '../tress';
import type { Answer } from './answer';
import { mixOf } from './criteria';

/** What a formula makes of a head by the hair model: shown beside the marks, which come from the theory alone. */
export interface Outcome {
  strand: Strand;
  level: number;
  tone: ToneFamily;
  /** ΔE2000 to the wish. */
  away: number;
  condition: Condition;
  /** White strands stand out from the others: level and tone are then read from the others alone (L3). */
  greyShows: boolean;
}

/** A formula on its head: asked for any minute. */
export interface Played {
  minutes: number;
  at: (minute: number) => Outcome;
  lookAt: (minute: number, seed: number) => TressLook;
}

type Formula = Pick<Answer, 'shades' | 'developer' | 'ratio' | 'minutes'>;

/** Puts a formula on the head of a case. Null while a part of it is open: half a formula has no outcome. */
export function play(kase: Case, line: Line, formula: Formula): Played | null {
  const shades = mixOf({ ...formula } as Answer, line);
  const { developer, ratio, minutes } = formula;
  if (shades.length === 0 || developer.length === 0 || ratio === null || minutes === null) return null;
  const { naturalLevel, greyShare, porosity, diameter } = kase.zone;
  const start = naturalStrand(naturalLevel, { white: greyShare, porosity, diameter });
  const mix: Mix = { product: line.kind, shades, developerVol: blendVol(developer), ratio };
  const application: Application = apply({ mix }, start);
  const strandAt = (minute: number) => strandAfter(application, Math.min(minute, minutes));
  const goal = toneLab(kase.target.level, kase.target.tone);
  return {
    minutes,
    at: (minute) => {
      const strand = strandAt(minute);
      const whole = labOfStrand(strand);
      const { level, tone } = readStrand(strand);
      return {
        strand,
        level,
        tone,
        away: differenceOf(whole, goal),
        condition: conditionOf(strand),
        greyShows: greyShows(strand),
      };
    },
    lookAt: (minute, seed) =>
      strandLook([{ from: 0, to: 1, strand: strandAt(minute) }], 'daylight', 'straight', seed),
  };
}

/** A departure smaller than this is not worth a sentence: half a step of reading; colours hard to tell apart. */
const LEVEL_SEEN = 0.4;
const AWAY_SEEN = 4;

/** What the outcome is like beside the wish, in reasons. */
export function outcomeReasons(kase: Case, { level, tone, away, condition, greyShows }: Outcome): Reason[] {
  const { target } = kase;
  const gap = Math.round((level - target.level) * 10) / 10;
  const found: Reason[] = [];
  if (Math.abs(gap) >= LEVEL_SEEN)
    found.push(reason(gap > 0 ? 'outcome.tooLight' : 'outcome.tooDark', 'L1', { levels: Math.abs(gap) }));
  if (greyShows) found.push(reason('outcome.greyShows', 'F8', { grey: kase.zone.greyShare }));
  if (away >= AWAY_SEEN && tone !== target.tone.primary)
    found.push(reason('outcome.otherTone', 'T1', { tone, wanted: target.tone.primary }));
  if (condition !== 'strong') found.push(reason('outcome.condition', 'C4', { condition }));
  if (found.length === 0)
    found.push(away < AWAY_SEEN ? reason('outcome.meets', undefined) : reason('outcome.nearly', undefined));
  return found;
}
