import type { HairForm } from '../hair';
import type { Random } from '../random';
import type { TressLook } from './look';

const { abs, cos, floor, min, sin, sqrt } = Math;
const TAU = Math.PI * 2;

/**
 * Forms as bundles of fibres that hang together, in straight hair wisps and in curled hair ringlets, each winding about an
 * axis of its own. Lengths across are fractions of the picture's width.
 */
export interface FormFacts {
  /** Bundles a lock is made of. */
  bundles: number;
  /** Turns of a ringlet from root to tip, and how wide it winds. */
  turns: number;
  /** How wide a ringlet winds, fraction of the width of the picture. */
  winds: number;
  /** How far it opens into loops that are seen from a little above: how much the winding moves along the lock. */
  loops: number;
  /** Half the thickness of a bundle, and how much of it is left at the tip. */
  thick: number;
  /** How much of a bundle’s thickness is left at the tip, fraction. */
  gathers: number;
  /** How far the fibres of one bundle fall out of step, radians. */
  disorder: number;
  /** How far the axis of a bundle strays on its way down. */
  strays: number;
  /** How much shorter the winding makes it hang, and how much fuller, as fractions. */
  shrinks: number;
  /** How much fuller the winding makes the lock, as a factor. */
  fuller: number;
  /** Fraction 0–1 of fibres that keep to no bundle. */
  loose: number;
}
const FORMS: Record<HairForm, FormFacts> = {
  straight: {
    bundles: 17,
    turns: 0.6,
    winds: 0.006,
    loops: 0,
    thick: 0.1,
    gathers: 0.22,
    disorder: 1.2,
    strays: 0.024,
    shrinks: 0,
    fuller: 1,
    loose: 0.22,
  },
  wavy: {
    bundles: 15,
    turns: 3.1,
    winds: 0.034,
    loops: 0,
    thick: 0.068,
    gathers: 0.5,
    disorder: 0.5,
    strays: 0.04,
    shrinks: 0.05,
    fuller: 1.08,
    loose: 0.12,
  },
  curly: {
    bundles: 13,
    turns: 6.4,
    winds: 0.056,
    loops: 0.5,
    thick: 0.034,
    gathers: 0.55,
    disorder: 0.45,
    strays: 0.035,
    shrinks: 0.14,
    fuller: 1.16,
    loose: 0.07,
  },
  coily: {
    bundles: 24,
    turns: 11,
    winds: 0.037,
    loops: 0.5,
    thick: 0.02,
    gathers: 0.6,
    disorder: 0.5,
    strays: 0.06,
    shrinks: 0.26,
    fuller: 1.24,
    loose: 0.1,
  },
  tightlyCoiled: {
    bundles: 48,
    turns: 18,
    winds: 0.02,
    loops: 0.62,
    thick: 0.013,
    gathers: 0.7,
    disorder: 0.8,
    strays: 0.1,
    shrinks: 0.38,
    fuller: 1.34,
    loose: 0.2,
  },
};

/** A form as this hair wears it: what has lost its spring hangs limp and thin, wet hair clings into fewer, sharper wisps. */
export function formOf({
  form,
  limp,
  wet,
}: Pick<TressLook, 'form'> & { limp: number; wet: boolean }): FormFacts {
  const facts = FORMS[form];
  const slack = 1 - 0.6 * limp;
  return {
    ...facts,
    winds: facts.winds * slack,
    turns: facts.turns * (1 - 0.3 * limp),
    loops: facts.loops * (1 - 0.8 * limp),
    shrinks: facts.shrinks * (wet ? 0.5 : 1) * (1 - 0.7 * limp),
    fuller: 1 + (facts.fuller - 1) * (wet ? 0.3 : 1),
    thick: facts.thick * (1 - 0.2 * limp) * (wet ? 0.6 : 1),
    gathers: facts.gathers * (wet ? 0.6 : 1) * (1 - 0.4 * limp),
    loose: facts.loose * (wet ? 0.25 : 1),
    disorder: facts.disorder * (wet ? 0.6 : 1),
  };
}

/** Outline of a lock: half its width at root, belly and tip, as fractions of the picture, and how it hangs. */
export interface Outline {
  /** Half its width at the root, fraction of the picture. */
  root: number;
  /** Half its width where it is widest, fraction of the picture. */
  belly: number;
  /** Where it is widest, 0 at the root to 1 at the tip. */
  bellyAt: number;
  /** Half its width at the tip, fraction of the picture. */
  tip: number;
  /** How far its tip hangs beside its root, fraction of the picture; below 0 to the left. */
  lean: number;
  /** How it swings on its way down: by a fraction of the picture, in slow turns, from a phase in radians. */
  sway: { by: number; turns: number; phase: number };
  /** How much shorter the sides hang than the middle, fraction of the length: curled hair ends round. */
  rounds: number;
}

/** Outline of a lock by its form and seed. */
export function outlineOf(random: Random, cut: TressLook['cut'], facts: FormFacts): Outline {
  const still = { by: 0, turns: 0, phase: 0 };
  if (cut === 'swatch')
    return { root: 0.44, belly: 0.44, bellyAt: 0.5, tip: 0.44, lean: 0, sway: still, rounds: 0 };
  const root = 0.22 + 0.06 * random();
  const curled = facts.loops > 0;
  // Straight hair falls and thins out; curled hair opens on its way down.
  const belly = min(0.4, root * (curled ? 1.15 + 0.15 * random() : 1.02 + 0.1 * random()) * facts.fuller);
  return {
    root,
    belly,
    bellyAt: (curled ? 0.5 : 0.3) + 0.25 * random(),
    tip: belly * (curled ? 0.82 : 0.5 + 0.35 * random()),
    lean: (random() - 0.5) * 0.1,
    sway: { by: 0.012 + 0.028 * random(), turns: 0.5 + 0.6 * random(), phase: random() * TAU },
    rounds: curled ? 0.16 : 0.05 * random(),
  };
}

const smooth = (t: number) => (t <= 0 ? 0 : t >= 1 ? 1 : t * t * (3 - 2 * t));

/** Half the width at a place along the lock, fraction of the picture. */
export const halfWidthAt = ({ root, belly, bellyAt, tip }: Outline, t: number) =>
  t < bellyAt
    ? root + (belly - root) * smooth(t / bellyAt)
    : belly + (tip - belly) * smooth((t - bellyAt) / (1 - bellyAt));

/** Where the middle of the lock is at a place along it, fraction of the picture. */
export const middleAt = ({ lean, sway }: Outline, t: number) =>
  0.5 + lean * t + sway.by * t * sin(sway.phase + TAU * sway.turns * t);

/** A wisp or a ringlet. */
export interface Bundle {
  /** Its place in the round of the lock: across −1 to 1, and nearer the eye or further, −1 to 1. */
  at: number;
  /** Nearer the eye or further, −1 to 1. */
  depth: number;
  /** Where its winding begins, how fast and how wide it winds against the form's own. */
  phase: number;
  /** How fast it winds against the form’s own, as a factor. */
  pace: number;
  /** How wide it winds against the form’s own, as a factor. */
  wide: number;
  /** How its axis strays: by a fraction of the width, in slow turns. */
  strays: { by: number; turns: number; phase: number };
  /** Half its thickness, fraction of the width of the lock. */
  thickness: number;
  /** How it leans towards the light or away, radians, and how light it is among the others: gleams break from wisp to wisp. */
  tilt: number;
  /** How light it is among the others, about 1. */
  lightness: number;
  /** How much earlier than the longest it ends, fraction of the length. */
  shorter: number;
}

/** The far side of a lock is never seen: its fibres are laid on the near side, and a little behind. */
export const seenFrom = (depth: number) => 1.25 * abs(depth) - 0.25;

const GOLDEN = Math.PI * (3 - sqrt(5));

/** Bundles spread evenly over the round of the lock, as seeds are over a sunflower. */
export function bundlesOf(random: Random, facts: FormFacts, { rounds }: Outline): Bundle[] {
  const turn = random() * TAU;
  return Array.from({ length: facts.bundles }, (_, i) => {
    const out = sqrt((i + 0.5) / facts.bundles);
    const angle = turn + i * GOLDEN + (random() - 0.5) * 0.5;
    const at = out * cos(angle);
    return {
      at,
      depth: seenFrom(out * sin(angle)),
      phase: random() * TAU,
      pace: (0.8 + 0.4 * random()) * (floor(random() * 2) === 0 ? 1 : -1),
      wide: 0.7 + 0.6 * random(),
      strays: { by: 0.4 + random(), turns: 0.4 + 0.9 * random(), phase: random() * TAU },
      thickness: 0.75 + 0.5 * random(),
      tilt: (random() - 0.5) * 0.16,
      lightness: 0.94 + 0.12 * random(),
      shorter: rounds * at * at + 0.13 * random() * random(),
    };
  });
}
