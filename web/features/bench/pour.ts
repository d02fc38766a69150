/** How a tube or bottle gives way: slow at first, faster while it is held, and a last drop after it is let go. */
export const FLOW = {
  leastGramsPerSecond: 2,
  mostGramsPerSecond: 16,
  fullAfterSeconds: 2.5,
  dropsForSeconds: 0.25,
};

export interface Pouring {
  grams: number;
  /** Seconds it has been held without a break. */
  heldSeconds: number;
  /** Seconds since it was let go; null while it is held or was never held. */
  sinceSeconds: number | null;
  /** Grams a second at the moment it was let go. */
  letGoAt: number;
}
export const STILL: Pouring = { grams: 0, heldSeconds: 0, sinceSeconds: null, letGoAt: 0 };

const { leastGramsPerSecond: least, mostGramsPerSecond: most, fullAfterSeconds, dropsForSeconds } = FLOW;
const rateAt = (held: number) => least + (most - least) * Math.min(1, held / fullAfterSeconds);

/** The scale some time later: it runs while held, and drips a moment longer, so that one learns to let go early. */
export function pourOn(state: Pouring, held: boolean, seconds: number): Pouring {
  if (held) {
    const heldSeconds = state.sinceSeconds === null ? state.heldSeconds : 0;
    const rate = rateAt(heldSeconds + seconds / 2);
    return {
      grams: state.grams + rate * seconds,
      heldSeconds: heldSeconds + seconds,
      sinceSeconds: null,
      letGoAt: rate,
    };
  }
  if (state.heldSeconds === 0) return state;
  const since = state.sinceSeconds ?? 0;
  const dripping = Math.max(0, Math.min(seconds, dropsForSeconds - since));
  return { ...state, grams: state.grams + 0.5 * state.letGoAt * dripping, sinceSeconds: since + seconds };
}

/** Whether nothing moves any more. */
export const isStill = ({ heldSeconds, sinceSeconds }: Pouring) =>
  heldSeconds === 0 || (sinceSeconds !== null && sinceSeconds >= dropsForSeconds);
