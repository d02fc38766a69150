import type { HairForm, Density, Area } from '../hair';
import { type Random, seededRandom, seedFrom } from '../random';
import { type DrawnHead, Flow, type Point, mapOf } from './drawn-head';
import { type Ground, FibreRun, groundOf } from './fibre-run';
import { type Geometry, MOST_FIBRES, gathered, ranksOf } from './geometry';
import type { TressSize } from './look';

// Bound once: these run millions of times a picture.
const { abs, ceil, cos, floor, max, min, sin, sqrt } = Math;
const TAU = Math.PI * 2;

/**
 * How hair of a form lies on a drawn head: length of a turn and how wide it winds, units; how far it opens into loops; how
 * far apart its wisps are, units, how closely they gather, how far their hairs fall out of step, and how far they turn away
 * from one another, radians.
 */
interface Lie {
  turn: number;
  winds: number;
  loops: number;
  apart: number;
  gathers: number;
  disorder: number;
  turned: number;
}
const LIES: Record<HairForm, Lie> = {
  straight: { turn: 26, winds: 0.3, loops: 0, apart: 3.4, gathers: 0.5, disorder: 1.2, turned: 0.16 },
  wavy: { turn: 11, winds: 1, loops: 0, apart: 3.8, gathers: 0.6, disorder: 0.5, turned: 0.4 },
  curly: { turn: 5.2, winds: 1.15, loops: 0.5, apart: 4.6, gathers: 0.75, disorder: 0.4, turned: 0.9 },
  coily: { turn: 3, winds: 0.8, loops: 0.5, apart: 3.2, gathers: 0.75, disorder: 0.5, turned: 1.3 },
  tightlyCoiled: { turn: 1.9, winds: 0.55, loops: 0.62, apart: 2.2, gathers: 0.8, disorder: 0.8, turned: 2 },
};

/** Fibres over each pixel of an area: thin hair lets the scalp through. */
const LAYERS: Record<Density, number> = { sparse: 1.1, medium: 2.6, dense: 4.8 };
/** A hair reaches so far to either side of its place, units, if its area does. */
const REACH = { from: 9, to: 20 };
/** Width of a hair, pixels at the least and of a unit at the most. */
const WIDE = { from: 0.22, to: 0.14 };
/** How far a hair may come out of its area, units: over hair, and beyond where any grows. */
const OVER = { hair: 1.1, edge: 1.8 };
/** How near the eye wisps come, and how far a hair rises on its way, units. */
const NEAR = 2.4;
const RISES = 0.5;
/** Way from an end over which a hair fades, units. */
const FADES = 2.2;
/** Steps that a winding hair is followed in, of a turn; and the shortest and longest, pixels. */
const OF_TURN = 1 / 7;
const STEP = { from: 1, to: 4 };
/** Steps at once where nothing of a hair is seen. */
const LEAP = 3;
/** Steps in which it is found out how far a hair goes, pixels. */
const WALK = 3;
/** All that the hairs of one area share. */
interface Growth extends Ground {
  head: DrawnHead;
  map: Uint8Array;
  flow: Flow;
  /** Pixels a unit. */
  scale: number;
  run: FibreRun;
  area: number;
  lie: Lie;
  /** The wisps met so far, by their cell. */
  wisps: Map<number, Wisp>;
  random: Random;
}

interface Wisp {
  /** Its middle, pixels. */
  x: number;
  y: number;
  /** In [0, 1), each for what is its own. */
  numbers: readonly number[];
}

/** The wisp that a place belongs to: the nearest of middles strewn one to a cell. */
function wispAt({ scale, lie, wisps, random, width }: Growth, x: number, y: number): Wisp {
  const apart = lie.apart * scale;
  const [column, row] = [floor(x / apart), floor(y / apart)];
  let nearest: Wisp | null = null;
  let least = Infinity;
  for (let down = row - 1; down <= row + 1; down++)
    for (let across = column - 1; across <= column + 1; across++) {
      const name = down * width + across;
      let wisp = wisps.get(name);
      if (!wisp) {
        wisp = {
          x: (across + random()) * apart,
          y: (down + random()) * apart,
          numbers: [random(), random(), random(), random(), random()],
        };
        wisps.set(name, wisp);
      }
      const away = (wisp.x - x) ** 2 + (wisp.y - y) ** 2;
      if (away < least) [nearest, least] = [wisp, away];
    }
  return nearest!;
}

const areaAt = ({ map, width, height }: Growth, x: number, y: number) =>
  x < 0 || y < 0 || x >= width || y >= height ? 0 : map[floor(y) * width + floor(x)];

/**
 * How far a hair goes from a place along its fall, 1, or back, −1, before it has left its area: at most so far, pixels; and
 * how it fares on from there.
 */
function walk(growth: Growth, from: Point, turned: Point, way: 1 | -1, most: number) {
  const { flow, area } = growth;
  const [sn, cs] = turned;
  let [x, y] = from;
  let [gone, on] = [0, area];
  flow.at(x, y);
  while (gone < most && on === area) {
    const { dx, dy } = flow;
    const toX = x + way * WALK * (dx * cs - dy * sn);
    const toY = y + way * WALK * (dx * sn + dy * cs);
    flow.at(toX, toY);
    // Hair of a whorl comes from its middle, not from beyond it.
    if (dx * flow.dx + dy * flow.dy < 0) break;
    [x, y] = [toX, toY];
    gone += WALK;
    on = areaAt(growth, x, y);
  }
  return { x, y, gone, on };
}

/** A hair: where it comes from, and how it lies from there on. Lengths in pixels, angles in radians. */
interface Hair {
  growth: Growth;
  fibre: number;
  x: number;
  y: number;
  long: number;
  /** Sine and cosine of how far it turns away from how hair falls there. */
  turned: Point;
  /** How far beside the middle of its wisp it grows. */
  beside: number;
  winds: number;
  omega: number;
  phase: number;
  tilt: number;
  /** How near the eye, 0–1: its wisp and itself. */
  wisp: number;
  layer: number;
  /** At most 1. */
  wide: number;
  /** How light it is among its like. */
  own: number;
}

/** The hair that passes through a place of its area, from where it comes from until it ends or has left it. */
function hairAt(growth: Growth, fibre: number, place: Point): Hair {
  const { scale, lie, random, flow } = growth;
  const { numbers, x: wispX, y: wispY } = wispAt(growth, ...place);
  const reach = () => scale * (REACH.from + (REACH.to - REACH.from) * random());
  const angle = (numbers[4] - 0.5) * lie.turned;
  const turned: Point = [sin(angle), cos(angle)];
  const back = walk(growth, place, turned, -1, reach());
  const forth = walk(growth, place, turned, 1, reach());
  const over =
    forth.on === 0 ? OVER.edge * random() ** 2 : forth.on === growth.area ? 0 : OVER.hair * random();
  flow.at(...place);
  const { dx, dy } = flow;
  return {
    growth,
    fibre,
    x: back.x,
    y: back.y,
    long: back.gone + forth.gone + scale * over,
    turned,
    beside:
      (place[1] - wispY) * (dx * turned[1] - dy * turned[0]) -
      (place[0] - wispX) * (dx * turned[0] + dy * turned[1]),
    winds: lie.winds * scale * (0.75 + 0.5 * numbers[2]),
    omega: TAU / (lie.turn * scale * (0.85 + 0.3 * numbers[3])),
    phase: 7 * TAU * numbers[2] + (random() - 0.5) * lie.disorder,
    tilt: (numbers[0] - 0.5) * 0.34 + (random() - 0.5) * 0.1,
    wisp: numbers[1],
    layer: (numbers[1] + 0.6 * random()) / 1.6,
    wide: min(1, max(WIDE.from, WIDE.to * scale)) * (0.8 + 0.4 * random()),
    own: (0.9 + 0.2 * random()) * (0.93 + 0.14 * numbers[3]),
  };
}

function drawHair(hair: Hair): void {
  const { growth, long, turned, beside, winds, omega, tilt, layer, wide } = hair;
  const { scale, run, lie, flow } = growth;
  const ball = growth.head.round;
  const [turnedSin, turnedCos] = turned;
  const step = min(STEP.to, max(STEP.from, (TAU / omega) * OF_TURN));
  const base = 0.74 + 0.26 * layer;
  const curled = lie.loops > 0;
  run.fibre = hair.fibre;
  run.ofFibreFrom = growth.pieces.count + 1;
  run.own = hair.own;
  run.along = growth.area - 1;
  // Its winding as a turning vector: a rotation a step instead of a sine.
  const [stepSin, stepCos] = [sin(omega * step), cos(omega * step)];
  let [sn, cs] = [sin(hair.phase), cos(hair.phase)];
  let { x, y } = hair;
  let [isBegun, passed] = [false, 0];
  for (let gone = 0; gone <= long; gone += step) {
    flow.at(x, y);
    const dx = flow.dx * turnedCos - flow.dy * turnedSin;
    const dy = flow.dx * turnedSin + flow.dy * turnedCos;
    if (passed > 0) passed--;
    else {
      const along = gone / long;
      const wound = winds * min(1, 0.3 + 3 * along);
      const aside = wound * cs - beside * lie.gathers * along * along;
      const toX = x - dy * aside + dx * lie.loops * wound * sn;
      const toY = y + dx * aside + dy * lie.loops * wound * sn;
      const toZ = scale * (NEAR * layer + RISES * along) + wound * sn;
      if (isBegun) {
        // The head is round: hair on its edge runs away from the eye or towards it, and lies in shade.
        const u = (x / scale - ball.x) / ball.across;
        const v = (y / scale - ball.y) / ball.down;
        const up = sqrt(max(0.08, 1 - u * u - v * v));
        const recedes = (dx * u + dy * v * (ball.across / ball.down)) / up;
        const pixels = max(1, ceil(max(abs(toX - run.x), abs(toY - run.y))));
        run.stepX = (toX - run.x) / pixels;
        run.stepY = (toY - run.y) / pixels;
        run.stepZ = (toZ - run.z) / pixels;
        const turnsAside = -winds * omega * sn;
        const turnsAlong = 1 + lie.loops * winds * omega * cs;
        run.dx = dx * turnsAlong - dy * turnsAside;
        run.dy = dy * turnsAlong + dx * turnsAside;
        run.dz = winds * omega * cs - recedes + tilt;
        run.shade = base * (0.68 + 0.32 * up) * (curled ? 0.78 + 0.22 * sn : 1);
        run.wide = wide * min(1, 0.8 + gone / (FADES * scale), 0.35 + (long - gone) / (FADES * scale));
        // Hidden hair is looked for again a little further on.
        if (run.draw(growth, pixels)) passed = LEAP;
      }
      isBegun = passed === 0;
      run.x = toX;
      run.y = toY;
      run.z = toZ;
    }
    x += dx * step;
    y += dy * step;
    const swing = cs;
    cs = swing * stepCos - sn * stepSin;
    sn = sn * stepCos + swing * stepSin;
  }
}

/** An area and what of its look the geometry depends on. */
export type Grown = readonly [Area, HairForm, Density];

/** The hair of a head in one of its drawings; areas stand where steps along the hair do in a lock. */
export function headGeometryOf(head: DrawnHead, grown: readonly Grown[], size: TressSize): Geometry {
  const ground = groundOf(size);
  const map = mapOf(
    head,
    grown.map(([area]) => area),
    size,
  );
  const shared = {
    ...ground,
    head,
    map,
    flow: new Flow(head, size),
    scale: size.width / head.width,
    run: new FibreRun(),
  };
  const places = grown.map((): number[] => []);
  for (let p = 0; p < map.length; p++) if (map[p] > 0) places[map[p] - 1].push(p);
  const most = floor(MOST_FIBRES / grown.length);
  const hairs: Hair[] = [];
  /** Hairs of each area: from where on they are numbered. */
  const from = [0];
  for (const [i, [area, form, density]] of grown.entries()) {
    // An area grows the same whatever its neighbours are like.
    const random = seededRandom(seedFrom(`${head.name} ${area}`));
    const growth: Growth = { ...shared, area: i + 1, lie: LIES[form], wisps: new Map(), random };
    // Hairs of narrow areas are short, so they are counted by how much they may cover.
    let open = LAYERS[density] * places[i].length;
    while (open > 0 && hairs.length < from[i] + most) {
      const p = places[i][floor(random() * places[i].length)];
      const hair = hairAt(growth, hairs.length, [
        (p % size.width) + random(),
        floor(p / size.width) + random(),
      ]);
      hairs.push(hair);
      open -= hair.long * hair.wide;
    }
    from.push(hairs.length);
  }
  // Wisp by wisp, those nearest the eye first: what comes to lie behind them is passed over.
  hairs.sort((hair, other) => other.wisp - hair.wisp || other.layer - hair.layer);
  for (const hair of hairs) drawHair(hair);
  return gathered(ground, hairs.length, (shown) => {
    const ranks = new Float32Array(shown.length);
    // Each area has its own share of white, so it counts its own hairs.
    for (const [i] of grown.entries())
      ranks.set(ranksOf(shown.subarray(from[i], from[i + 1]), seededRandom(i ^ 0x5eed)), from[i]);
    return ranks;
  });
}
