import { complete } from '../../card';
import { partName } from '../../case';
import { toneVector, TONES } from '../../colour';
import { levelOfPigmented } from '../../hair';
import { type RequiredMix, type ShadeRequest, matchOfRequest, MATCH_TOLERANCE } from '../../method';
import { mixLevel, type ShadePart, mixTone, naturalShare } from '../../product';
import { lossAt, PRICES } from '../../rules';
import { type MarkingContext, partOf, placeParams } from '../context';
import { type Finding, finding } from '../finding';
import { type WorkedPlace, type WorkedApplication, workedPlace } from '../worked-place';
import { fault, type Fault, type FaultOf } from '../faults';

type Params = Fault['params'];

export interface ColourMix {
  /** Place it is for. */
  place: WorkedPlace;
  /** The mix. */
  mix: RequiredMix;
  /** The application that does it; null where none does. */
  worked: WorkedApplication | null;
}

/** Colour layers of every part: what has shades to be chosen. A part left alone without need has none. */
export const colourMixes = (parts: readonly WorkedPlace[]): ColourMix[] =>
  parts.flatMap((part): ColourMix[] => {
    const found = part.requiredMixes.filter(({ mix }) => mix.role === 'colour');
    if (found.length === 0 && !part.ruling.allowed) return [{ place: part, mix: NOTHING, worked: null }];
    return found.map(({ mix, worked }) => ({ place: part, mix, worked }));
  });
/** Stands for the colour of a part on which nothing was done though something had to be. */
const NOTHING: RequiredMix = { role: 'colour', products: [], shadeRequest: null, aim: null, refresh: false };

/** A toner this much lighter than the hair under it cannot cover it (U4). */
const LIGHTER_THAN_HAIR = 0.5;

/** Level of the hair at the moment a step is put on, lightened before or not. */
const levelUnder = ({ played }: MarkingContext, { goal }: WorkedPlace, { written }: WorkedApplication) => {
  const { start } = played.spellOf(written[0], goal.part.zone);
  return levelOfPigmented(played.momentOf(partOf(played, goal.part), Math.max(0, start - 1)).strand);
};

/** What is found of the level of a mix; null where it has been marked elsewhere. */
export function depthFinding(context: MarkingContext, { place, mix, worked }: ColourMix): Finding | null {
  const at = placeParams(place.goal);
  const is = (loss: number, code: FaultOf<'depth'>, rule?: string, params = {}) =>
    finding(partName(place.goal.part), loss, fault(`depth.${code}`, rule, { ...at, ...params }), 'colour');
  if (!worked || worked.shades.length === 0) return is(1, 'open');
  // What is left of the regrowth's bowl has been marked there.
  if (!mix.shadeRequest || place.leftover?.same) return null;
  const { shadeRequest } = mix;
  const level = mixLevel(worked.shades);
  const expected =
    shadeRequest.levels.min === shadeRequest.levels.max
      ? shadeRequest.levels.min
      : (shadeRequest.levels.min + shadeRequest.levels.max) / 2;
  if (shadeRequest.highLift) {
    const lifts = matchOfRequest(worked.shades, shadeRequest).levelGap === 0;
    return is(lifts ? 0 : 1, lifts ? 'highLift' : 'notHighLift', 'D2');
  }
  if (shadeRequest.clear) return level === null ? is(0, 'clear', 'A7') : is(1, 'notClear', 'A7');
  if (level === null) return is(1, 'noColour', 'F10', { expected });
  const params = { expected, given: Math.round(level * 100) / 100 };
  const { levelGap } = matchOfRequest(worked.shades, shadeRequest);
  const loss = lossAt(PRICES.depth, levelGap);
  if (loss === 0) return is(0, 'right', 'F2', params);
  const tones = worked.line.kind === 'demi' || worked.line.kind === 'acidGloss';
  if (tones) {
    const hair = Math.round(levelUnder(context, place, worked) * 10) / 10;
    if (level > hair + LIGHTER_THAN_HAIR) return is(loss, 'lighterThanHair', 'U4', { ...params, hair });
  }
  return is(loss, level > expected ? 'tooLight' : 'tooDark', 'F2', params);
}

/** Cosine between two tones above which they are of one family, and of neighbouring ones. */
const SAME_FAMILY = 0.9;
const NEIGHBOUR = 0.3;
/** Strength under which a mix has no tone. */
const NO_TONE = 0.05;
/** A tone of its own this strong in a mix that was to be neutral is a fault like a neighbour's. */
const OWN_TONE = 0.35;

/** What is wrong with the tone of a mix, and what it costs. */
function toneFault(
  shades: readonly ShadePart[],
  need: ShadeRequest,
  excused: number,
): [FaultOf<'tone'>, number] {
  const shown = mixTone(shades);
  const wanted = toneVector(need.tone);
  const { tone } = PRICES;
  const strength = Math.hypot(shown.x, shown.y);
  const wished = Math.hypot(wanted.x, wanted.y) * (1 - excused);
  if (wished < NO_TONE) return ['notNeutral', strength > OWN_TONE ? tone.neighbour : tone.strength];
  if (strength < NO_TONE) return ['missing', tone.none];
  const cosine = (shown.x * wanted.x + shown.y * wanted.y) / (strength * Math.hypot(wanted.x, wanted.y));
  if (cosine > SAME_FAMILY) return [strength < wished ? 'thin' : 'strong', tone.strength];
  if (cosine > NEIGHBOUR) return ['offDirection', tone.neighbour];
  if (cosine > -NEIGHBOUR) return ['missing', tone.none];
  return [
    TONES[need.tone.primary].temperature === 'cool' ? 'sameSideAsWarmth' : 'cancelsTarget',
    tone.opposite,
  ];
}

/** What is found of the tone of a mix; null where there is none to be marked. */
export function toneFinding(_context: MarkingContext, { place, mix, worked }: ColourMix): Finding | null {
  const at = placeParams(place.goal);
  const is = (loss: number, code: FaultOf<'tone'>, rule?: string, params = {}) =>
    finding(partName(place.goal.part), loss, fault(`tone.${code}`, rule, { ...at, ...params }), 'colour');
  if (!worked || worked.shades.length === 0) return is(1, 'open');
  const { vivid } = place.goal.target;
  if (vivid) {
    const all = worked.shades.reduce((sum, { parts }) => sum + parts, 0);
    const right =
      worked.shades.reduce((sum, { shade, parts }) => sum + (shade.dye === vivid ? parts : 0), 0) / all;
    return is(right > 0.95 ? 0 : 1 - right, right > 0.95 ? 'vivid' : 'otherVivid', 'T1', { vivid });
  }
  // What is clear has no tone; what is not has been marked as depth.
  if (!mix.shadeRequest || mix.shadeRequest.clear || place.leftover?.same) return null;
  const { toneGap, excusedShare } = matchOfRequest(worked.shades, mix.shadeRequest);
  const params = { expected: mix.shadeRequest.tone.primary, gap: Math.round(toneGap * 100) / 100 };
  if (toneGap <= MATCH_TOLERANCE.tone + 1e-9) return is(0, 'right', 'F5', params);
  const [code, loss] = toneFault(worked.shades, mix.shadeRequest, excusedShare);
  // More natural series than the grey asks for is paid for there.
  const { naturalShare: share, covers } = mix.shadeRequest;
  if (
    code === 'thin' &&
    covers &&
    share.min > 0 &&
    lossAt(PRICES.grey.over, naturalShare(worked.shades) - share.max) > 0
  )
    return is(0, 'right', 'F5', params);
  return is(loss, code, code === 'sameSideAsWarmth' || code === 'cancelsTarget' ? 'U2' : 'F5', params);
}

/** From this fraction of white on, no natural series at all loses the whole of it. */
const HALF_GREY = 0.5;

const shareFinding = (
  { goal }: WorkedPlace,
  loss: number,
  code: FaultOf<'greyShare'>,
  params: Params = {},
): Finding =>
  finding(
    partName(goal.part),
    loss,
    fault(`greyShare.${code}`, 'F8', { ...placeParams(goal), ...params }),
    'colour',
  );

/** What the natural share of one colour is over the white of its part; nothing where none is asked for. */
function shareOf({ place, mix, worked }: ColourMix): Finding[] {
  const need = mix.shadeRequest?.naturalShare;
  const is = (loss: number, code: FaultOf<'greyShare'>, params: Params = {}) =>
    shareFinding(place, loss, code, params);
  // A natural wish is natural through and through: what is not is marked as tone.
  if (!need || !mix.shadeRequest?.covers || need.min === 1) return [];
  if (!worked || worked.shades.length === 0) return need.min > 0 ? [is(1, 'open')] : [];
  const { share: given } = matchOfRequest(worked.shades, mix.shadeRequest);
  const params = {
    min: need.min,
    max: need.max,
    given: Math.round(given * 1000) / 1000,
    grey: place.goal.greyShare,
  };
  const short = Math.max(0, need.min - given);
  const loss =
    given === 0 && place.goal.greyShare >= HALF_GREY
      ? PRICES.grey.noneOnHalfGrey
      : lossAt(PRICES.grey.short, short);
  const over = lossAt(PRICES.grey.over, given - need.max);
  if (over > 0) return [is(over, 'tooMuch', params)];
  if (loss === 0) return need.min > 0 ? [is(0, 'right', params)] : [];
  return [is(loss, given === 0 ? 'none' : 'short', params)];
}

/** Findings on the natural share over grey (F8). */
export const markGreyShare = ({ parts, modelAnswer, lineOf, rules }: MarkingContext): Finding[] =>
  colourMixes(parts).flatMap((colourMix): Finding[] => {
    if (colourMix.mix !== NOTHING) return shareOf(colourMix);
    // What is left out is lost where the model answer decides a share there.
    const best = colourMixes([workedPlace(complete(modelAnswer.card), colourMix.place.goal, lineOf, rules)]);
    const isDecided = best.some((one) => one.worked && shareOf(one).length > 0);
    return isDecided ? [shareFinding(colourMix.place, 1, 'open')] : [];
  });
