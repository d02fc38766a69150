import { partName } from '../../case';
import { toneVector, TONES } from '../../colour';
import { levelOfPigmented } from '../../hair';
import { type Layer, type ShadeNeed, fitOfNeed, FIT_TOLERANCE } from '../../method';
import { mixLevel, type ShadePart, mixTone, naturalShare } from '../../product';
import { reason } from '../../reason';
import { lossAt, PRICES } from '../../rules';
import { type JudgeContext, partOf, zoneReason } from '../context';
import { type Finding, finding } from '../finding';
import { type SeenPart, type SeenStep, seePart } from '../worked-place';

type Params = NonNullable<Parameters<typeof reason>[2]>;

export interface ColourLayer {
  part: SeenPart;
  layer: Layer;
  seen: SeenStep | null;
}

/** Colour layers of every part: what has shades to be chosen. A part left alone without need has none. */
export const colourLayers = (parts: readonly SeenPart[]): ColourLayer[] =>
  parts.flatMap((part): ColourLayer[] => {
    const found = part.layers.filter(({ layer }) => layer.role === 'colour');
    if (found.length === 0 && !part.ruling.allowed) return [{ part, layer: NOTHING, seen: null }];
    return found.map(({ layer, seen }) => ({ part, layer, seen }));
  });
/** Stands for the colour of a part on which nothing was done though something had to be. */
const NOTHING: Layer = { role: 'colour', products: [], need: null, aim: null, refresh: false };

/** A toner this much lighter than the hair under it cannot cover it (U4). */
const LIGHTER_THAN_HAIR = 0.5;

/** Level of the hair at the moment a step is put on, lightened before or not. */
const levelUnder = ({ played }: JudgeContext, { task }: SeenPart, { step }: SeenStep) =>
  levelOfPigmented(played.momentOf(partOf(played, task.part), Math.max(0, step.start - 1)).strand);

export function depthOf(context: JudgeContext, { part, layer, seen }: ColourLayer): Finding | null {
  const at = zoneReason(part.task);
  const is = (loss: number, code: string, rule?: string, params = {}) =>
    finding(
      partName(part.task.part),
      loss,
      reason(`mark.depth.${code}`, rule, { ...at, ...params }),
      'colour',
    );
  if (!seen || seen.shades.length === 0) return is(1, 'open');
  // What is left of the regrowth's bowl has been marked there.
  if (!layer.need || part.leftover?.same) return null;
  const { need } = layer;
  const level = mixLevel(seen.shades);
  const expected =
    need.levels.min === need.levels.max ? need.levels.min : (need.levels.min + need.levels.max) / 2;
  if (need.highLift) {
    const lifts = fitOfNeed(seen.shades, need).levelGap === 0;
    return is(lifts ? 0 : 1, lifts ? 'highLift' : 'notHighLift', 'D2');
  }
  if (need.clear) return level === null ? is(0, 'clear', 'A7') : is(1, 'notClear', 'A7');
  if (level === null) return is(1, 'noColour', 'F10', { expected });
  const params = { expected, given: Math.round(level * 100) / 100 };
  const { levelGap } = fitOfNeed(seen.shades, need);
  const loss = lossAt(PRICES.depth, levelGap);
  if (loss === 0) return is(0, 'right', 'F2', params);
  const tones = seen.line.kind === 'demi' || seen.line.kind === 'acidGloss';
  if (tones) {
    const hair = Math.round(levelUnder(context, part, seen) * 10) / 10;
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
function toneFault(shades: readonly ShadePart[], need: ShadeNeed, excused: number): [string, number] {
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

export function toneOf(_context: JudgeContext, { part, layer, seen }: ColourLayer): Finding | null {
  const at = zoneReason(part.task);
  const is = (loss: number, code: string, rule?: string, params = {}) =>
    finding(
      partName(part.task.part),
      loss,
      reason(`mark.tone.${code}`, rule, { ...at, ...params }),
      'colour',
    );
  if (!seen || seen.shades.length === 0) return is(1, 'open');
  const { vivid } = part.task.target;
  if (vivid) {
    const all = seen.shades.reduce((sum, { parts }) => sum + parts, 0);
    const right =
      seen.shades.reduce((sum, { shade, parts }) => sum + (shade.dye === vivid ? parts : 0), 0) / all;
    return is(right > 0.95 ? 0 : 1 - right, right > 0.95 ? 'vivid' : 'otherVivid', 'T1', { vivid });
  }
  // What is clear has no tone; what is not has been marked as depth.
  if (!layer.need || layer.need.clear || part.leftover?.same) return null;
  const { toneGap, excusedShare } = fitOfNeed(seen.shades, layer.need);
  const params = { expected: layer.need.tone.primary, gap: Math.round(toneGap * 100) / 100 };
  if (toneGap <= FIT_TOLERANCE.tone + 1e-9) return is(0, 'right', 'F5', params);
  const [code, loss] = toneFault(seen.shades, layer.need, excusedShare);
  // More natural series than the grey asks for is paid for there.
  const { naturalShare: share, covers } = layer.need;
  if (code === 'thin' && covers && lossAt(PRICES.grey.over, naturalShare(seen.shades) - share.max) > 0)
    return is(0, 'right', 'F5', params);
  return is(loss, code, code === 'sameSideAsWarmth' || code === 'cancelsTarget' ? 'U2' : 'F5', params);
}

/** From this fraction of white on, no natural series at all loses the whole of it. */
const HALF_GREY = 0.5;

const shareFinding = ({ task }: SeenPart, loss: number, code: string, params: Params = {}): Finding =>
  finding(
    partName(task.part),
    loss,
    reason(`mark.greyShare.${code}`, 'F8', { ...zoneReason(task), ...params }),
    'colour',
  );

/** What the natural share of one colour is over the white of its part; nothing where none is asked for. */
function shareOf({ part, layer, seen }: ColourLayer): Finding[] {
  const need = layer.need?.naturalShare;
  const is = (loss: number, code: string, params: Params = {}) => shareFinding(part, loss, code, params);
  // A natural wish is natural through and through: what is not is marked as tone.
  if (!need || !layer.need?.covers || need.min === 1) return [];
  if (!seen || seen.shades.length === 0) return need.min > 0 ? [is(1, 'open')] : [];
  const { share: given } = fitOfNeed(seen.shades, layer.need);
  const params = {
    min: need.min,
    max: need.max,
    given: Math.round(given * 1000) / 1000,
    grey: part.task.greyShare,
  };
  const short = Math.max(0, need.min - given);
  const loss =
    given === 0 && part.task.greyShare >= HALF_GREY
      ? PRICES.grey.noneOnHalfGrey
      : lossAt(PRICES.grey.short, short);
  const over = lossAt(PRICES.grey.over, given - need.max);
  if (over > 0) return [is(over, 'tooMuch', params)];
  if (loss === 0) return need.min > 0 ? [is(0, 'right', params)] : [];
  return [is(loss, given === 0 ? 'none' : 'short', params)];
}

export const markGreyShare = ({ parts, solution, lineOf, rules }: JudgeContext): Finding[] =>
  colourLayers(parts).flatMap((found): Finding[] => {
    if (found.layer !== NOTHING) return shareOf(found);
    // What is left out is lost where the model answer decides a share there.
    const best = colourLayers([seePart(solution.best, found.part.task, lineOf, rules)]);
    const isDecided = best.some((one) => one.seen && shareOf(one).length > 0);
    return isDecided ? [shareFinding(found.part, 1, 'open')] : [];
  });
