import { brindle } from './data/brindle';
import { calder } from './data/calder';
import { hobday } from './data/hobday';
import { lantry } from './data/lantry';
import { ostrel } from './data/ostrel';
import { pellow } from './data/pellow';
import { quillet } from './data/quillet';
import { tarnwick } from './data/tarnwick';
import { velm } from './data/velm';
import { wrenfell } from './data/wrenfell';
import { type Line, FORMULA_KINDS } from './line';

export const SHIPPED_LINES: readonly Line[] = [
  tarnwick,
  ostrel,
  velm,
  quillet,
  pellow,
  brindle,
  calder,
  wrenfell,
  lantry,
  hobday,
];

/** Lines that a mix of shades and developer is formulated with. */
export const FORMULA_LINES: readonly Line[] = SHIPPED_LINES.filter(({ kind }) =>
  FORMULA_KINDS.includes(kind),
);

/** A shipped line by its id; undefined where there is none. */
export function shippedLine(id: string): Line | undefined {
  return SHIPPED_LINES.find((line) => line.id === id);
}
