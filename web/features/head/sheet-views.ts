import type { Area } from '@cimbel/core/hair';
import type { ClosedLine, DrawnHead, Point } from '@cimbel/core/draw';

/** The four drawings of a head: from the front, from the side, from the back and from above. */
export const VIEWS = ['front', 'side', 'back', 'above'] as const;
export type View = (typeof VIEWS)[number];
export const VIEW_SIZE = { width: 120, height: 150 } as const;

interface DrawnView {
  /** Face, neck and ears, as SVG paths: what is not hair. */
  skin: readonly string[];
  /** The edge of the hair, an SVG path that areas are cut to. */
  hair: string;
  areas: Partial<Record<Area, readonly ClosedLine[]>>;
  /** Where the number of an area stands. */
  numbers: Partial<Record<Area, Point>>;
  /** Lines that part the head into its quadrants (A4). */
  partings: readonly string[];
  falls: DrawnHead['falls'];
  round: DrawnHead['round'];
}

const mirrored = (line: ClosedLine): ClosedLine =>
  line.map(([x, y]): Point => [VIEW_SIZE.width - x, y]).reverse();
const both = (line: ClosedLine): readonly ClosedLine[] => [line, mirrored(line)];

const outward =
  (fromX: number, fromY: number) =>
  (x: number, y: number): Point => {
    const length = Math.sqrt((x - fromX) ** 2 + (y - fromY) ** 2) || 1;
    return [(x - fromX) / length, (y - fromY) / length];
  };

/** Where areas lie in each view; neighbours share their corners, so that no gap shows between them. */
export const DRAWN: Record<View, DrawnView> = {
  front: {
    skin: [
      'M30 50 C28 92 38 142 60 142 C82 142 92 92 90 50 C80 34 40 34 30 50 Z',
      'M45 132 L45 150 L75 150 L75 132',
    ],
    hair: 'M60 6 C30 6 15 30 15 58 C15 76 18 90 24 98 L31 90 C28 74 31 60 36 50 C46 40 74 40 84 50 C89 60 92 74 89 90 L96 98 C102 90 105 76 105 58 C105 30 90 6 60 6 Z',
    areas: {
      top: [
        [
          [28, 32],
          [36, 2],
          [84, 2],
          [92, 32],
          [78, 23],
          [60, 20],
          [42, 23],
        ],
      ],
      hairline: [
        [
          [28, 32],
          [42, 23],
          [60, 20],
          [78, 23],
          [92, 32],
          [83, 54],
          [60, 46],
          [37, 54],
        ],
      ],
      temples: both([
        [28, 32],
        [37, 54],
        [33, 76],
        [22, 66],
        [21, 44],
      ]),
      sides: both([
        [36, 2],
        [28, 32],
        [21, 44],
        [22, 66],
        [33, 76],
        [32, 104],
        [8, 104],
        [8, 2],
      ]),
    },
    numbers: { top: [60, 14], hairline: [60, 38], temples: [27, 54], sides: [21, 84] },
    partings: ['M60 6 V41'],
    falls: outward(60, -30),
    round: { x: 60, y: 66, across: 48, down: 62 },
  },
  side: {
    skin: [
      'M30 46 C24 58 26 66 20 80 C17 86 20 88 24 88 L25 100 C25 104 27 104 28 108 C29 118 36 122 48 118 L62 108 L62 92 L58 70 L38 48 Z',
      'M58 112 L58 150 L92 150 L90 122',
    ],
    hair: 'M30 46 C34 20 52 8 72 8 C100 8 114 30 114 62 C114 90 108 112 98 130 L76 130 C74 118 74 108 76 102 L70 100 L60 84 L58 98 L52 96 L50 74 C46 64 40 56 30 52 Z',
    areas: {
      hairline: [
        [
          [26, 44],
          [38, 12],
          [47, 28],
          [42, 44],
          [38, 62],
          [26, 58],
        ],
      ],
      temples: [
        [
          [42, 44],
          [58, 52],
          [62, 76],
          [60, 104],
          [48, 104],
          [44, 72],
          [38, 62],
        ],
      ],
      top: [
        [
          [38, 12],
          [54, 0],
          [78, 0],
          [76, 40],
          [58, 52],
          [42, 44],
          [47, 28],
        ],
      ],
      crown: [
        [
          [78, 0],
          [108, 10],
          [120, 52],
          [95, 58],
          [76, 40],
        ],
      ],
      sides: [
        [
          [58, 52],
          [76, 40],
          [95, 58],
          [90, 82],
          [80, 92],
          [76, 104],
          [68, 104],
          [62, 76],
        ],
      ],
      back: [
        [
          [95, 58],
          [120, 52],
          [120, 102],
          [84, 104],
          [76, 104],
          [80, 92],
          [90, 82],
        ],
      ],
      nape: [
        [
          [76, 104],
          [84, 104],
          [120, 102],
          [112, 136],
          [70, 136],
          [72, 112],
        ],
      ],
    },
    numbers: {
      hairline: [35, 38],
      temples: [53, 78],
      top: [60, 24],
      crown: [98, 36],
      sides: [79, 66],
      back: [102, 82],
      nape: [92, 119],
    },
    partings: ['M76 8 L68 100'],
    falls: outward(74, -8),
    round: { x: 74, y: 70, across: 44, down: 64 },
  },
  back: {
    skin: ['M42 112 L42 150 L78 150 L78 112'],
    hair: 'M60 6 C30 6 15 30 15 60 C15 92 26 116 36 130 C50 136 70 136 84 130 C94 116 105 92 105 60 C105 30 90 6 60 6 Z',
    areas: {
      crown: [
        [
          [34, 0],
          [86, 0],
          [93, 44],
          [60, 52],
          [27, 44],
        ],
      ],
      back: [
        [
          [27, 44],
          [60, 52],
          [93, 44],
          [96, 72],
          [93, 98],
          [60, 106],
          [27, 98],
          [24, 72],
        ],
      ],
      sides: both([
        [34, 0],
        [27, 44],
        [24, 72],
        [27, 98],
        [6, 104],
        [6, 0],
      ]),
      nape: [
        [
          [6, 104],
          [27, 98],
          [60, 106],
          [93, 98],
          [114, 104],
          [96, 142],
          [24, 142],
        ],
      ],
    },
    numbers: { crown: [60, 28], back: [60, 76], sides: [21, 62], nape: [60, 118] },
    partings: ['M60 6 V134'],
    falls: outward(60, -40),
    round: { x: 60, y: 70, across: 47, down: 66 },
  },
  above: {
    skin: [
      'M50 16 C52 6 56 4 60 4 C64 4 68 6 70 16 Z',
      'M14 74 C8 70 8 88 15 88 Z',
      'M106 74 C112 70 112 88 105 88 Z',
    ],
    hair: 'M60 14 C34 14 14 42 14 80 C14 118 34 142 60 142 C86 142 106 118 106 80 C106 42 86 14 60 14 Z',
    areas: {
      hairline: [
        [
          [22, 24],
          [60, 8],
          [98, 24],
          [84, 42],
          [60, 32],
          [36, 42],
        ],
      ],
      temples: both([
        [22, 24],
        [36, 42],
        [28, 62],
        [8, 58],
      ]),
      top: [
        [
          [36, 42],
          [60, 32],
          [84, 42],
          [92, 62],
          [94, 72],
          [60, 78],
          [26, 72],
          [28, 62],
        ],
      ],
      sides: both([
        [8, 58],
        [28, 62],
        [26, 72],
        [29, 100],
        [6, 106],
      ]),
      crown: [
        [
          [26, 72],
          [60, 78],
          [94, 72],
          [91, 100],
          [60, 112],
          [29, 100],
        ],
      ],
      back: [
        [
          [6, 106],
          [29, 100],
          [60, 112],
          [91, 100],
          [114, 106],
          [92, 148],
          [28, 148],
        ],
      ],
    },
    numbers: {
      hairline: [60, 24],
      temples: [23, 48],
      top: [60, 53],
      sides: [19, 84],
      crown: [60, 92],
      back: [60, 127],
    },
    partings: ['M60 14 V142', 'M14 76 Q60 82 106 76'],
    falls: outward(60, 92),
    round: { x: 60, y: 78, across: 48, down: 66 },
  },
};

export const pathOf = (lines: readonly ClosedLine[]) =>
  lines.map((line) => `M${line.map(([x, y]) => `${x} ${y}`).join('L')}Z`).join('');

/** Straight pieces that a curve of an outline is drawn as when hair grows inside it. */
const PIECES = 8;

/** A closed path of absolute moves, lines and cubic curves as the points it passes. */
function pointsOf(path: string): Point[] {
  const points: Point[] = [];
  for (const [, letter, rest] of path.matchAll(/([MLC])([^A-Z]*)/g)) {
    const numbers = rest
      .trim()
      .split(/[\s,]+/)
      .map(Number);
    const pairs = Array.from({ length: numbers.length / 2 }, (_, i): Point => [
      numbers[2 * i],
      numbers[2 * i + 1],
    ]);
    if (letter !== 'C') points.push(...pairs);
    else
      for (let i = 0; i < pairs.length; i += 3) {
        const curve = [points[points.length - 1], ...pairs.slice(i, i + 3)];
        for (let n = 1; n <= PIECES; n++) {
          const [t, u] = [n / PIECES, 1 - n / PIECES];
          const at = (c: 0 | 1) =>
            u ** 3 * curve[0][c] +
            3 * u * u * t * curve[1][c] +
            3 * u * t * t * curve[2][c] +
            t ** 3 * curve[3][c];
          points.push([at(0), at(1)]);
        }
      }
  }
  return points;
}

/** A view as hair is grown on it. */
export function headOf(view: View): DrawnHead {
  const { hair, areas, falls, round } = DRAWN[view];
  return { name: view, ...VIEW_SIZE, hair: pointsOf(hair), areas, falls, round };
}
