import { TONES, toneVector } from '../colour';
import { levelOfPigmented } from '../hair';
import { reason } from '../reason';
import { mixLevel, mixTone, type ShadePart } from '../shades';
import { FIT_TOLERANCE, fitOfNeed, type Layer, type ShadeNeed } from '../solve';
import { EPSILON, falling } from './marked';
import { mean, scored, zoneReason, type JudgeContext, type Scored } from './context';
import type { SeenPart, SeenStep } from './seen';

interface ColourLayer {
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

const DEPTH_NONE = 2;
/** Tone gap at which nothing of the wanted tone is left to credit: about the strength of one plain tone. */
const TONE_NONE = 0.9;
/** A toner this much lighter than the hair under it cannot cover it (U4). */
const LIGHTER_THAN_HAIR = 0.75;
const LIGHTER_SHARE = 0.25;

/** Level of the hair at the moment a step is put on, lightened before or not. */
const levelUnder = ({ played }: JudgeContext, { task }: SeenPart, { step }: SeenStep) =>
  levelOfPigmented(
    played.momentOf(
      played.parts.find(({ zone, woven }) => zone === task.part.zone && woven === task.part.woven)!,
      Math.max(0, step.start - 1),
    ).strand,
  );

export function scoreDepth(context: JudgeContext, { part, layer, seen }: ColourLayer): Scored | null {
  const at = zoneReason(part.task);
  if (!seen || seen.shades.length === 0) return scored(0, reason('mark.depth.open', undefined, at));
  // What is left of the regrowth's bowl has been marked there.
  if (!layer.need || part.leftover?.same) return null;
  const { need } = layer;
  const level = mixLevel(seen.shades);
  const expected =
    need.levels.min === need.levels.max ? need.levels.min : (need.levels.min + need.levels.max) / 2;
  if (need.highLift) {
    const share = fitOfNeed(seen.shades, need).levelGap === 0 ? 1 : 0;
    return scored(share, reason(share ? 'mark.depth.highLift' : 'mark.depth.notHighLift', 'D2', at));
  }
  if (level === null) return scored(0, reason('mark.depth.noColour', 'F10', { ...at, expected }));
  const given = Math.round(level * 100) / 100;
  const params = { ...at, expected, given };
  const { levelGap } = fitOfNeed(seen.shades, need);
  const share = falling(levelGap - EPSILON, FIT_TOLERANCE.level, DEPTH_NONE);
  const tones = seen.line.kind === 'demi' || seen.line.kind === 'acidGloss';
  if (share < 1 && tones && part.task.porosity !== 'high') {
    const hair = Math.round(levelUnder(context, part, seen) * 10) / 10;
    if (level > hair + LIGHTER_THAN_HAIR)
      return scored(
        Math.min(share, LIGHTER_SHARE),
        reason('mark.depth.lighterThanHair', 'U4', { ...params, hair }),
      );
  }
  const code = share === 1 ? 'right' : level > expected ? 'tooLight' : 'tooDark';
  return scored(share, reason(`mark.depth.${code}`, 'F2', params));
}

function toneFinding(shades: readonly ShadePart[], need: ShadeNeed, excused: number): string {
  const shown = mixTone(shades);
  const wanted = toneVector(need.tone);
  const strengths = {
    shown: Math.hypot(shown.x, shown.y),
    wanted: Math.hypot(wanted.x, wanted.y) * (1 - excused),
  };
  if (strengths.wanted < 0.05) return 'notNeutral';
  if (strengths.shown < 0.05) return 'missing';
  const cosine =
    (shown.x * wanted.x + shown.y * wanted.y) / (strengths.shown * Math.hypot(wanted.x, wanted.y));
  if (cosine < 0)
    return TONES[need.tone.primary].temperature === 'cool' ? 'sameSideAsWarmth' : 'cancelsTarget';
  if (cosine > 0.95) return strengths.shown < strengths.wanted ? 'thin' : 'strong';
  return 'offDirection';
}

export function scoreTone(_context: JudgeContext, { part, layer, seen }: ColourLayer): Scored | null {
  const at = zoneReason(part.task);
  if (!seen || seen.shades.length === 0) return scored(0, reason('mark.tone.open', undefined, at));
  const { vivid } = part.task.target;
  if (vivid) {
    const all = seen.shades.reduce((sum, { parts }) => sum + parts, 0);
    const right =
      seen.shades.reduce((sum, { shade, parts }) => sum + (shade.dye === vivid ? parts : 0), 0) / all;
    return scored(
      right > 0.95 ? 1 : right,
      reason(right > 0.95 ? 'mark.tone.vivid' : 'mark.tone.otherVivid', 'T1', { ...at, vivid }),
    );
  }
  if (!layer.need || part.leftover?.same) return null;
  const { toneGap, excusedShare } = fitOfNeed(seen.shades, layer.need);
  const share = falling(toneGap - EPSILON, FIT_TOLERANCE.tone, TONE_NONE);
  const params = { ...at, expected: layer.need.tone.primary, gap: Math.round(toneGap * 100) / 100 };
  const code = share === 1 ? 'right' : toneFinding(seen.shades, layer.need, excusedShare);
  const rule = code === 'sameSideAsWarmth' || code === 'cancelsTarget' ? 'U2' : 'F5';
  return scored(share, reason(`mark.tone.${code}`, rule, params));
}

export function markGreyShare({ parts }: JudgeContext): Scored | null {
  return mean(
    colourLayers(parts).flatMap(({ part, layer, seen }): Scored[] => {
      const need = layer.need?.naturalShare;
      const at = zoneReason(part.task);
      if (layer === NOTHING && part.task.greyShare >= 0.25)
        return [scored(0, reason('mark.greyShare.open', 'F8', at))];
      if (!need || !layer.need || need.min === 0) return [];
      if (!seen || seen.shades.length === 0) return [scored(0, reason('mark.greyShare.open', 'F8', at))];
      const { share: given, shareShort } = fitOfNeed(seen.shades, layer.need);
      const params = {
        ...at,
        min: need.min,
        max: need.max,
        given: Math.round(given * 1000) / 1000,
        grey: part.task.greyShare,
      };
      if (shareShort <= FIT_TOLERANCE.share) return [scored(1, reason('mark.greyShare.right', 'F8', params))];
      return [
        scored(
          given / need.min,
          reason(given === 0 ? 'mark.greyShare.none' : 'mark.greyShare.short', 'F8', params),
        ),
      ];
    }),
  );
}
