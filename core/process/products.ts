import type { Line } from '../product';
import { FIGURES, type ProductFigures, type StripKind } from './figures';

export const PRODUCT_KINDS = [
  'permanent',
  'express',
  'highLift',
  'demi',
  'acidGloss',
  'direct',
  'lightenerStrong',
  'lightenerGentle',
  'remover',
  'filler',
] as const;
export type ProductKind = (typeof PRODUCT_KINDS)[number];

/** Kind of the line a product is of: high-lift shades stand in a permanent line. */
export const lineKindOf = (product: ProductKind): Line['kind'] =>
  product === 'highLift' ? 'permanent' : product;

/** What a kind of product is able to do by its nature (P1); how much of it is in {@link FIGURES}. */
export interface Product extends ProductFigures {
  /** Which kind it is. */
  kind: ProductKind;
  /** Natural level from which the product lifts as it should; darker hair it lifts less. Null: any. */
  liftsFromLevel: number | null;
  /**
   * Dye is taken out by lightener and remover alone; null for everything else: colour does not lift colour (P1).
   * @rule P1
   */
  strips: (Record<StripKind, number> & { tauMinutes: number }) | null;
  /** Minutes at which it stops: lightener dries out (P4), mixed colour is spent (M5). Null: goes on. */
  stopsAfterMinutes: number | null;
  /** Minutes over which it dies away after that. */
  fadesOverMinutes: number;
}

const COLOUR_ACTIVE_MINUTES = 45;
const HIGH_LIFT_ACTIVE_MINUTES = 55;
const LIGHTENER_MOIST_MINUTES = 48;
/** From this natural level on a high-lift shade lifts as it should. */
export const HIGH_LIFT_FROM = 6;

const product = (kind: ProductKind, change: Partial<Product> = {}): Product => ({
  ...FIGURES.products[kind],
  kind,
  liftsFromLevel: null,
  strips: null,
  stopsAfterMinutes: null,
  fadesOverMinutes: 3,
  ...change,
});

export const PRODUCTS: Record<ProductKind, Product> = {
  permanent: product('permanent', { stopsAfterMinutes: COLOUR_ACTIVE_MINUTES }),
  express: product('express', { stopsAfterMinutes: 20 }),
  highLift: product('highLift', {
    liftsFromLevel: HIGH_LIFT_FROM,
    stopsAfterMinutes: HIGH_LIFT_ACTIVE_MINUTES,
  }),
  demi: product('demi', { stopsAfterMinutes: COLOUR_ACTIVE_MINUTES }),
  acidGloss: product('acidGloss', { stopsAfterMinutes: COLOUR_ACTIVE_MINUTES }),
  direct: product('direct'),
  lightenerStrong: product('lightenerStrong', {
    strips: FIGURES.strips.lightenerStrong,
    stopsAfterMinutes: LIGHTENER_MOIST_MINUTES,
    fadesOverMinutes: 6,
  }),
  lightenerGentle: product('lightenerGentle', {
    strips: FIGURES.strips.lightenerGentle,
    stopsAfterMinutes: LIGHTENER_MOIST_MINUTES,
    fadesOverMinutes: 6,
  }),
  remover: product('remover', { strips: FIGURES.strips.remover, stopsAfterMinutes: 20 }),
  filler: product('filler'),
};

/** Whether a product is a lightener. */
export const isLightener = (kind: ProductKind) => kind === 'lightenerStrong' || kind === 'lightenerGentle';
/** Colour that forms with peroxide and goes on forming until it is rinsed (R8). */
export const isOxidative = (kind: ProductKind) =>
  kind === 'permanent' || kind === 'express' || kind === 'highLift' || kind === 'demi';

/** Value of a table by strength, linear between its rows and flat beyond them. */
function byVol<Row extends { vol: number }>(rows: readonly Row[], vol: number, pick: (row: Row) => number) {
  const above = rows.findIndex((row) => row.vol >= vol);
  if (above === 0) return pick(rows[0]);
  if (above < 0) return pick(rows[rows.length - 1]);
  const [a, b] = [rows[above - 1], rows[above]];
  return pick(a) + ((vol - a.vol) / (b.vol - a.vol)) * (pick(b) - pick(a));
}

/**
 * Dose and pace at a strength (D2, D3).
 * @rule D3
 */
export function liftCurve(
  { lift }: Pick<Product, 'lift'>,
  vol: number,
): { dose: number; tauMinutes: number } {
  if (!lift) return { dose: 0, tauMinutes: 10 };
  return {
    dose: byVol(lift, vol, (row) => row.dose),
    tauMinutes: byVol(lift, vol, (row) => row.tauMinutes),
  };
}

/** How much more a strength hurts than 20 vol. */
export const hurtByVol = (vol: number): number => byVol(FIGURES.hurtByVol, vol, ({ factor }) => factor);
