import { type DyeName, type Dye, type DyeLayer, combine, NO_DYE } from '../hair';
import { type StripKind, FIGURES } from './figures';
import type { Product } from './products';

// Bound once: these run millions of times in a search.
const { exp } = Math;

const COOL_VIVIDS: readonly DyeName[] = ['directBlue', 'directGreen'];
const coolShare = (dye: Dye) => COOL_VIVIDS.reduce((sum, name) => sum + dye[name], 0);

const stripKindOf = ({ kind, dye }: DyeLayer): StripKind =>
  kind !== 'direct' ? kind : coolShare(dye) > 0 ? 'directCool' : 'directWarm';

/**
 * A layer of dye after a lightener or remover has done part of its work on it: `spent` is 0 to 1 of a full run at 20 vol.
 * What sits deep hardly moves; strong lightener drives some of a blue or green vivid dye deeper (P2); lightener leaves a
 * warm residue of the brown it breaks (P6). Closed form in the work done, so that steps do not matter.
 * @rule P2
 */
export function stripped(layer: DyeLayer, product: Product, spent: number): DyeLayer {
  if (!product.strips || spent <= 0) return layer;
  const figures = FIGURES.model;
  const strong = product.kind === 'lightenerStrong';
  const kind = stripKindOf(layer);
  const takes = product.strips[kind];
  const drives = strong && kind === 'directCool' ? figures.drivesVivid : 0;
  const free = (1 - layer.held) * exp(-(takes + drives) * spent);
  const driven =
    drives > 0 ? ((1 - layer.held) * drives * (1 - exp(-(takes + drives) * spent))) / (takes + drives) : 0;
  const held = layer.held * exp(-takes * figures.heldResists * spent) + driven;
  const left = free + held;
  const after: DyeLayer = {
    ...layer,
    dye: withResidue(layer, layer.dye, left, takes, spent, product),
    dyeOnWhite: withResidue(layer, layer.dyeOnWhite, left, takes, spent, product),
    masks: { red: layer.masks.red * left, yellow: layer.masks.yellow * left },
    fills: { red: layer.fills.red * left, yellow: layer.fills.yellow * left },
    held: left > 0 ? held / left : 0,
  };
  return after;
}

/**
 * Brown that lightener has broken is not gone at once: it leaves red and yellow, which go later. Fitted to H17.
 * @rule P6
 */
function withResidue(
  { kind, held }: DyeLayer,
  dye: Dye,
  left: number,
  takes: number,
  spent: number,
  product: Product,
): Dye {
  const after = combine(dye, NO_DYE, left, 0);
  if (product.kind === 'remover' || kind !== 'permanent' || dye.brown === 0) return after;
  const { residueRed, residueYellow, residueLeaves } = FIGURES.model;
  const slow = takes * residueLeaves;
  const there =
    ((1 - held) * dye.brown * takes * (exp(-slow * spent) - exp(-takes * spent))) / (takes - slow);
  return { ...after, red: after.red + residueRed * there, yellow: after.yellow + residueYellow * there };
}
