import type { Line } from './line';
import { quillet } from './data/quillet';
import { tarnwick } from './data/tarnwick';

export const SHIPPED_LINES: readonly Line[] = [tarnwick, quillet];

export function shippedLine(id: string): Line | undefined {
  return SHIPPED_LINES.find((line) => line.id === id);
}
