import type { Area } from '../hair';
import type { TressSize } from './look';

// Bound once: these run millions of times a picture.
const { ceil, floor, max, min, round, sqrt } = Math;

export type Point = readonly [x: number, y: number];
/** A closed line through points. */
export type ClosedLine = readonly Point[];

/** A head as it is drawn from one side: where its hair grows and which way it falls. Lengths are units of the drawing. */
export interface DrawnHead {
  /** Names it among all drawings: what is worked out of it is kept by its name. */
  name: string;
  /** Width, pixels. */
  width: number;
  /** Height, pixels. */
  height: number;
  /** The edge of all hair. */
  hair: ClosedLine;
  /** Areas of the scalp. */
  areas: Partial<Record<Area, readonly ClosedLine[]>>;
  /** How hair falls at a place: a direction of length about 1. */
  falls: (x: number, y: number) => Point;
  /** The round of the head that the hair lies on: middle and half axes of an ellipse. */
  round: { x: number; y: number; across: number; down: number };
}

/** Pixels from one place to the next at which it is written down how hair falls. */
const FLOW = 2;

/** Fills what a line encloses, a row of pixels at a time between where it is crossed. */
function fill(
  map: Uint8Array,
  { width, height }: TressSize,
  scale: number,
  line: ClosedLine,
  as: number,
): void {
  for (let row = 0; row < height; row++) {
    const y = (row + 0.5) / scale;
    const crossed: number[] = [];
    line.forEach(([ax, ay], i) => {
      const [bx, by] = line[(i + 1) % line.length];
      if (ay > y !== by > y) crossed.push(scale * (((bx - ax) * (y - ay)) / (by - ay) + ax));
    });
    crossed.sort((value, other) => value - other);
    for (let i = 0; i + 1 < crossed.length; i += 2)
      map.fill(
        as,
        row * width + max(0, round(crossed[i])),
        row * width + min(width, max(0, round(crossed[i + 1]))),
      );
  }
}

/** Which of some areas each pixel is of, by its place among them, from 1; 0 where none of their hair grows. */
export function mapOf(
  { hair, areas, width }: DrawnHead,
  shown: readonly Area[],
  size: TressSize,
): Uint8Array {
  const scale = size.width / width;
  const [map, grows] = [new Uint8Array(size.width * size.height), new Uint8Array(size.width * size.height)];
  shown.forEach((area, i) => areas[area]!.forEach((line) => fill(map, size, scale, line, i + 1)));
  fill(grows, size, scale, hair, 1);
  return map.map((area, p) => area * grows[p]);
}

/** How hair falls at the corners of a grid `FLOW` pixels wide, and what was last asked of it: directions of length about 1. */
export class Flow {
  /** How hair falls at the place last looked at. */
  dx = 0;
  dy = 1;
  private readonly columns: number;
  private readonly rows: number;
  private readonly x: Float32Array;
  private readonly y: Float32Array;

  constructor({ falls, width: units }: DrawnHead, { width, height }: TressSize) {
    [this.columns, this.rows] = [ceil(width / FLOW) + 1, ceil(height / FLOW) + 1];
    const corners = this.columns * this.rows;
    [this.x, this.y] = [new Float32Array(corners), new Float32Array(corners)];
    const scale = (FLOW * units) / width;
    for (let i = 0; i < corners; i++)
      [this.x[i], this.y[i]] = falls((i % this.columns) * scale, floor(i / this.columns) * scale);
  }

  /** Looks at a place, pixels: between corners the ways of hair run into one another. */
  at(x: number, y: number): void {
    const column = min(this.columns - 2, max(0, (x / FLOW) | 0));
    const row = min(this.rows - 2, max(0, (y / FLOW) | 0));
    const right = min(1, max(0, x / FLOW - column));
    const down = min(1, max(0, y / FLOW - row));
    const i = row * this.columns + column;
    const below = i + this.columns;
    const { x: xs, y: ys } = this;
    const dx =
      (1 - down) * (xs[i] + right * (xs[i + 1] - xs[i])) +
      down * (xs[below] + right * (xs[below + 1] - xs[below]));
    const dy =
      (1 - down) * (ys[i] + right * (ys[i + 1] - ys[i])) +
      down * (ys[below] + right * (ys[below + 1] - ys[below]));
    // Never quite 0: in the middle of a whorl hair falls any way.
    const long = sqrt(dx * dx + dy * dy) + 1e-6;
    this.dx = dx / long;
    this.dy = dy / long;
  }
}
