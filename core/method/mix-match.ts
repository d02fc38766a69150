import { type Tone, type ToneVector, toneVector, isFashion } from '../colour';
import { type ShadePart, mixLevel, naturalShare, mixTone } from '../product';
import type { ShareSpan } from '../rules';
import type { ShadeRequest } from './required-mix';

// Bound once: these run millions of times in a search.
const { abs, hypot } = Math;

/** What a mix has to be. */
export interface ShadeRequestAtLevel {
  /** Level, 1 to 12. */
  level: number;
  /** Tone as primary and, perhaps, weaker secondary. */
  tone: Tone;
  /** Share of the natural series, fraction 0–1. */
  naturalShare: ShareSpan;
  /** Tone on the hair that shows through: as much of its opposite as half of it may stand in the mix. */
  over?: Tone;
}

/** How much of a tone that shows through may be cancelled by the mix, fraction 0–1 of it. */
const CANCELLED_MOST = 0.5;
const THINNED = [1, 0.85, 0.7] as const;

/** Distance of a tone from the wanted one, or from where cancelling what shows through would have it. */
function gapTo(shown: ToneVector, wanted: ToneVector, over: Tone | undefined): number {
  if (!over) return hypot(shown.x - wanted.x, shown.y - wanted.y);
  const through = toneVector(over);
  const [dx, dy] = [-through.x * CANCELLED_MOST, -through.y * CANCELLED_MOST];
  // What cancels takes its share of the bowl: the wanted tone is thinner by so much.
  const gaps = THINNED.map((by) => {
    const [x, y] = [wanted.x * by, wanted.y * by];
    const along = ((shown.x - x) * dx + (shown.y - y) * dy) / (dx * dx + dy * dy);
    const t = Math.min(1, Math.max(0, along));
    return hypot(shown.x - x - t * dx, shown.y - y - t * dy);
  });
  return Math.min(...gaps);
}

/** How far a mix is from what it has to be. All distances are 0 or more. */
export interface MixMatch {
  /** Level of the mix; null without a coloured shade. */
  level: number | null;
  /** Natural share of the mix, fraction 0–1. */
  share: number;
  /** Natural share by which the wanted tone may be thinned. */
  excusedShare: number;
  /** Levels from the wanted level; Infinity when nothing coloured is in the mix. */
  levelGap: number;
  /** Distance on the painter's circle from the wanted tone, thinned by the natural share the grey asks for. */
  toneGap: number;
  /** Natural share that is missing for the grey. */
  shareShort: number;
  /** Natural share beyond what the grey asks for, 0–1; 0 where none is asked: there it only thins the tone. */
  shareOver: number;
}

/** Full marks within these: a quarter of a level (reading is to the half), a tone just noticeably off, a rounding. */
export const MATCH_TOLERANCE = { level: 0.25, tone: 0.15, share: 0.03 };
/** More natural than grey asks for by less than a sixth is no other step of the table (F8). */
const OVER_TOLERANCE = 0.1;

/** How far a mix is from a request at one level. */
export function matchOf(mix: readonly ShadePart[], need: ShadeRequestAtLevel): MixMatch {
  const level = mixLevel(mix);
  const share = naturalShare(mix);
  const { min, max } = need.naturalShare;
  // Natural series thins any tone. As far as grey may ask for it that is no fault of tone; a share that is too small
  // is paid for under the grey share, and more than grey asks for is paid for here.
  // Naturals alone have no tone at all: a fashion tone is excused by what grey needs at least, not by what it allows.
  const excused = Math.min(isFashion(need.tone) ? min : max, share);
  const full = toneVector(need.tone);
  const shown = mixTone(mix);
  return {
    level,
    share,
    levelGap: level === null ? Infinity : abs(level - need.level),
    excusedShare: excused,
    toneGap: gapTo(shown, { ...full, x: full.x * (1 - excused), y: full.y * (1 - excused) }, need.over),
    shareShort: Math.max(0, min - share),
    shareOver: min > 0 ? Math.max(0, share - max) : 0,
  };
}

/** Whether a mix is right within the tolerances. */
export const isRightMix = (match: MixMatch) =>
  match.levelGap <= MATCH_TOLERANCE.level &&
  match.toneGap <= MATCH_TOLERANCE.tone &&
  match.shareShort <= MATCH_TOLERANCE.share &&
  match.shareOver <= OVER_TOLERANCE;

/** A value kept within a span. */
export const clamp = (value: number, { min, max }: { min: number; max: number }) =>
  Math.min(max, Math.max(min, value));

/** How far a mix is from a need whose level is a span: the gap is to its nearer end. */
export function matchOfRequest(mix: readonly ShadePart[], need: ShadeRequest): MixMatch {
  const level = mixLevel(mix) ?? need.levels.min;
  const match = matchOf(mix, {
    level: clamp(level, need.levels),
    tone: need.tone,
    naturalShare: need.naturalShare,
    over: need.over,
  });
  if (need.clear) {
    // Anything that colours is not the clear.
    const coloured = mix.some(({ shade }) => shade.series !== 'clear');
    return { ...match, levelGap: coloured ? Infinity : 0, toneGap: 0, shareShort: 0, shareOver: 0 };
  }
  if (!need.highLift) return match;
  const lifts = mix.some(({ shade }) => shade.series === 'highLift');
  return { ...match, levelGap: lifts ? 0 : Infinity };
}
