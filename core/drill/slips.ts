import { PULLED_TOO_FAR } from '../process';
import { type Reason, reason } from '../reason';
import type { Item, Response } from './item';
import { pairsOf, poured, ROUNDING, longestUnlooked } from './score';

const rounded = (value: number, to = 100) => Math.round(value * to) / to;

/** The nearest known wrong figure that a given one stands for: within what rounding in the head would do. */
function slipAt({ slips: mistakes, solution }: Item, response: Response): Reason | null {
  if (response.kind === 'choice')
    return mistakes.find(({ answer }) => answer === response.index)?.why ?? null;
  if (response.kind !== 'figure' || solution.kind !== 'figure') return null;
  const near = (answer: number) => Math.abs(answer - response.value) <= Math.max(0.1, answer * 0.01);
  return mistakes.find(({ answer }) => near(answer))?.why ?? null;
}

/** By how much, and to which side, a level or a share of white was read wrong, and what made it look so. */
function readingSlip({ about, reads, solution, deceits }: Item, response: Response): Reason | null {
  if (response.kind !== 'figure' || solution.kind !== 'figure') return null;
  const off = rounded(response.value - solution.value);
  const way = off > 0 ? 'lighter' : 'darker';
  // Items made before there were any have none.
  const deceit = (deceits ?? []).find((deceit) => deceit.way === way);
  if (about?.of === 'level')
    return reason(
      `drill.level.${way === 'lighter' ? 'readTooLight' : 'readTooDark'}.${deceit?.code ?? 'plain'}`,
      deceit?.rule ?? 'L1',
      { levels: Math.abs(off) },
    );
  if (reads === 'white')
    return reason(
      solution.value === 0
        ? 'drill.grey.readWhereNone'
        : off > 0
          ? 'drill.grey.readTooMuch'
          : 'drill.grey.readTooLittle',
      'L3',
      {
        share: Math.abs(off),
      },
    );
  return null;
}

/** What a figure that stands for no known slip would have made. */
function meaningOf({ means, solution }: Item, response: Response): Reason | null {
  if (!means || response.kind !== 'figure' || solution.kind !== 'figure') return null;
  const { code, rule, param, times = 1, plus = 0, over, params } = means;
  const value = over === undefined ? times * response.value + plus : over / Math.max(response.value, 1e-6);
  return reason(`${code}.${response.value > solution.value ? 'over' : 'under'}`, rule, {
    ...params,
    [param]: rounded(Math.min(9999, Math.max(0, value))),
  });
}

/** The first pair of neighbours that was turned round. */
function orderSlip({ solution, why, facet }: Item, response: Response): Reason | null {
  if (solution.kind !== 'order' || response.kind !== 'order') return null;
  const pairs = pairsOf(response.order, solution.right);
  const turned = pairs.filter(({ stands }) => !stands);
  if (turned.length === pairs.length) return reason(`drill.order.backwards.${facet}`, why[0].rule);
  const { first, second } = turned[0];
  return reason(`drill.order.turned.${facet}`, why[0].rule, {
    one: 'ABCDEF'[first],
    other: 'ABCDEF'[second],
    pairs: turned.length,
  });
}

/** Which mark is furthest off, which way, and by how many centimetres of a strand of this length. */
const STRAND_CM = 30;
const strandCm = (share: number) => rounded(share * STRAND_CM, 10);
function markSlip({ solution, facet }: Item, response: Response): Reason | null {
  if (solution.kind !== 'mark' || response.kind !== 'mark') return null;
  const marks = [...response.at].sort((a, b) => a - b);
  const off = solution.at.map((place, i) => marks[i] - place);
  const worst = off.reduce((w, by, i) => (Math.abs(by) > Math.abs(off[w]) ? i : w), 0);
  return reason(`drill.zones.${off[worst] > 0 ? 'past' : 'short'}.${facet}${worst}`, 'A1', {
    cm: strandCm(Math.abs(off[worst])),
  });
}

function pourSlip({ solution }: Item, response: Response): Reason | null {
  if (solution.kind !== 'strength' || response.kind !== 'amounts') return null;
  const bowl = poured(solution.vols, response.grams);
  const params = {
    vol: rounded(bowl.vol, 10),
    grams: rounded(bowl.grams, 10),
    wanted: solution.vol,
    total: solution.grams,
  };
  if (bowl.grams === 0) return reason('drill.pour.empty', 'D5', params);
  const strongest = solution.vols[0];
  // Turned round: the stock was poured as the thinner, and the thinner as the stock.
  const turned = poured(solution.vols, [...response.grams].reverse());
  if (Math.abs(bowl.vol - solution.vol) > solution.volFull) {
    if (Math.abs(turned.vol - solution.vol) <= solution.volFull)
      return reason('drill.pour.turned', 'D5', params);
    if (bowl.vol >= strongest - ROUNDING) return reason('drill.pour.neat', 'D8', params);
    return reason(bowl.vol > solution.vol ? 'drill.pour.strong' : 'drill.pour.weak', 'D5', params);
  }
  return reason(bowl.grams > solution.grams ? 'drill.pour.tooMuch' : 'drill.pour.tooLittle', 'M4', params);
}

function weighSlip({ solution }: Item, response: Response): Reason | null {
  if (solution.kind !== 'amounts' || response.kind !== 'amounts') return null;
  const off = solution.grams.map((grams, i) => (response.grams[i] - grams) / solution.full[i]);
  const worst = off.reduce((w, by, i) => (Math.abs(by) > Math.abs(off[w]) ? i : w), 0);
  return reason(
    `drill.weigh.${off[worst] > 0 ? 'over' : 'under'}${Math.min(worst, 2)}`,
    worst === 1 ? 'U5' : 'M1',
    {
      grams: rounded(response.grams[worst], 10),
      wanted: rounded(solution.grams[worst], 10),
      ratio: rounded(
        response.grams.at(-1)! /
          Math.max(0.1, response.grams[0] + (response.grams.length > 2 ? response.grams[1] : 0)),
        10,
      ),
    },
  );
}

function sharesSlip({ solution }: Item, response: Response): Reason | null {
  if (solution.kind !== 'shares' || response.kind !== 'shares') return null;
  const off = solution.shares.map((share, i) => response.shares[i] - share);
  const worst = off.reduce((w, by, i) => (Math.abs(by) > Math.abs(off[w]) ? i : w), 0);
  if (Math.abs(off[worst]) > solution.full + ROUNDING)
    return reason(`drill.parted.${off[worst] > 0 ? 'tooMuch' : 'tooLittle'}`, 'L3', {
      place: ['hairline', 'temple', 'crown', 'nape'][worst],
      share: rounded(Math.abs(off[worst])),
      truth: solution.shares[worst],
    });
  return reason(
    response.natural > solution.natural ? 'drill.parted.naturalTooMuch' : 'drill.parted.naturalTooLittle',
    'F8',
    {
      most: Math.max(...solution.shares),
    },
  );
}

function clockSlip({ solution }: Item, response: Response): Reason | null {
  if (solution.kind !== 'clock' || response.kind !== 'clock') return null;
  const { starts, rinse, within, every } = solution;
  const off = starts.map((at, i) => response.starts[i] - at);
  const worst = off.reduce((w, by, i) => (Math.abs(by) > Math.abs(off[w]) ? i : w), 0);
  if (Math.abs(off[worst]) > within + ROUNDING)
    return reason(off[worst] > 0 ? 'drill.clock.late' : 'drill.clock.early', 'A2', {
      zone: ['mids', 'ends', 'root'][worst],
      minutes: rounded(Math.abs(off[worst])),
      at: starts[worst],
    });
  if (Math.abs(response.rinse - rinse) > within + ROUNDING)
    return reason(response.rinse > rinse ? 'drill.clock.rinsedLate' : 'drill.clock.rinsedEarly', 'R3', {
      minutes: rounded(Math.abs(response.rinse - rinse)),
      at: rinse,
    });
  return reason('drill.clock.unlooked', 'R2', {
    minutes: rounded(longestUnlooked(Math.min(...response.starts), response.checks, response.rinse)),
    every,
  });
}

/** A wet strand is let go where it has been seen to come back or not; sound hair bears about half its length (C1). */
export function pulledTooFar({ question: { hands } }: Item, response: Response): Reason | null {
  if (hands?.kind !== 'stretch' || response.kind !== 'choice' || response.pulled === undefined) return null;
  return response.pulled > PULLED_TOO_FAR ? reason('drill.condition.pulledTooFar', 'C1') : null;
}

/** In the order they are asked: what is known of an answer before what can be said of any. */
export const SLIPS = [
  slipAt, readingSlip, orderSlip, markSlip, pourSlip, weighSlip, sharesSlip, clockSlip, meaningOf,
] as const; // prettier-ignore
