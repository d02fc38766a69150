const { abs, exp } = Math;

/** Where the light stands: above, a little to the left, in front; x right, y down, z to the eye. Unit vector. */
export const LIGHT = { x: -0.25, y: -0.62, z: 0.744 };
/**
 * Two lobes of light along a fibre, after Marschner et al. 2003: a narrow one in the colour of the lamp, tilted to the root,
 * and a broader one in the colour of the hair, further down. Angles in radians of the half inclination.
 */
export const NARROW = { at: -0.02, width: 0.036 };
export const BROAD = { at: -0.14, width: 0.12 };
export const AMBIENT = 0.42;
export const BROAD_LIGHT = 0.5;

/** How a hanging lock leans to the eye along its length: out at the root, back at the tip. */
export const bendAt = (t: number) => 0.58 - 0.72 * t;

const bell = (x: number) => exp(-0.5 * x * x);
const BELL_STEPS = 256;
const BELL_REACH = 4;
const BELL = Float32Array.from({ length: BELL_STEPS + 2 }, (_, i) => bell((i * BELL_REACH) / BELL_STEPS));
/** The bell by table: it is asked for twice at every step of every fibre. */
export const bellOf = (x: number) => {
  const at = (abs(x) * BELL_STEPS) / BELL_REACH;
  return at >= BELL_STEPS ? 0 : BELL[at | 0];
};
