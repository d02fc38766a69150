import { reason, type Reason } from '../reason';
import { type Item, type Response, type Solution, responseKindOf } from './item';

export interface DrillMark {
  /** 0 to 1. */
  score: number;
  right: boolean;
  /** Why it is as it is; then what the wrong answer shows. */
  why: Reason[];
  slip: Reason | null;
  /** The reading beside the truth, for what can be compared. */
  reading:
    { of: 'level'; truth: number; given: number } | { of: 'tone'; truth: string; given: string } | null;
}

const HALF = 0.5;
const ROUNDING = 1e-9;

/** Full, half or nothing by how far off it is. */
const byDistance = (away: number, full: number, near: number) =>
  away <= full + ROUNDING ? 1 : away <= near + ROUNDING ? HALF : 0;

/** Pairs of places, each with whether it stands the right way round. */
function pairsOf(given: readonly number[], right: readonly number[]) {
  const places = given.map((which) => right.indexOf(which));
  return places.flatMap((first, i) =>
    places
      .slice(i + 1)
      .map((second, j) => ({ first: given[i], second: given[i + 1 + j], stands: first < second })),
  );
}

/** Strength and weight of what was poured together. */
export function poured(vols: readonly number[], grams: readonly number[]): { vol: number; grams: number } {
  const total = grams.reduce((a, b) => a + b, 0);
  return { grams: total, vol: total > 0 ? vols.reduce((sum, vol, i) => sum + vol * grams[i], 0) / total : 0 };
}

/** The longest stretch of minutes without a look, from the first zone begun to the rinse. */
export function longestUnlooked(begun: number, checks: readonly number[], rinse: number): number {
  const looks = [begun, ...checks.filter((at) => at > begun && at < rinse), rinse].sort((a, b) => a - b);
  return Math.max(...looks.slice(1).map((at, i) => at - looks[i]));
}

/** 0–1 for a response of the solution's kind; 0 for any other. */
export function scoreOf(solution: Solution, response: Response): number {
  if (solution.kind === 'figure' && response.kind === 'figure')
    return byDistance(Math.abs(response.value - solution.value), solution.full, solution.near);
  if (solution.kind === 'choice' && response.kind === 'choice')
    return response.index === solution.right
      ? 1
      : (solution.near?.find(({ index }) => index === response.index)?.score ?? 0);
  if (solution.kind === 'order' && response.kind === 'order') {
    const pairs = pairsOf(response.order, solution.right);
    const stand = pairs.filter(({ stands }) => stands).length / pairs.length;
    // Half of the pairs stand right by chance: that is worth nothing (rank correlation, M. Kendall 1938).
    return Math.max(0, 2 * stand - 1);
  }
  if (solution.kind === 'mark' && response.kind === 'mark') {
    const marks = [...response.at].sort((a, b) => a - b);
    return Math.min(
      ...solution.at.map((place, i) => {
        const past = marks[i] - place;
        const { full, near } = past > 0 && solution.past ? solution.past : solution;
        return byDistance(Math.abs(past), full, near);
      }),
    );
  }
  if (solution.kind === 'strength' && response.kind === 'amounts') {
    const bowl = poured(solution.vols, response.grams);
    return Math.min(
      byDistance(Math.abs(bowl.vol - solution.vol), solution.volFull, 2 * solution.volFull),
      byDistance(Math.abs(bowl.grams - solution.grams), solution.gramsFull, 2 * solution.gramsFull),
    );
  }
  if (solution.kind === 'amounts' && response.kind === 'amounts')
    return Math.min(
      ...solution.grams.map((grams, i) =>
        byDistance(Math.abs(response.grams[i] - grams), solution.full[i], solution.near[i]),
      ),
    );
  if (solution.kind === 'shares' && response.kind === 'shares') {
    const read = solution.shares.map((share, i) =>
      byDistance(Math.abs(response.shares[i] - share), solution.full, solution.near),
    );
    const reading = read.reduce((a: number, b) => a + b, 0) / read.length;
    // Reading and what is made of it, half each.
    return (reading + (response.natural === solution.natural ? 1 : 0)) / 2;
  }
  if (solution.kind === 'clock' && response.kind === 'clock') {
    const { starts, rinse, within, every } = solution;
    const begun = starts.map((at, i) => byDistance(Math.abs(response.starts[i] - at), within, 2 * within));
    const unlooked = longestUnlooked(Math.min(...response.starts), response.checks, response.rinse);
    return Math.min(
      ...begun,
      byDistance(Math.abs(response.rinse - rinse), within, 2 * within),
      byDistance(Math.max(0, unlooked - every), 0, every / 2),
    );
  }
  return 0;
}

/** Whether a response can be an answer to this question at all: the kind, the count, the options there are. */
export function fitsForm({ question: { form, pictures }, solution }: Item, response: Response): boolean {
  if (response.kind !== responseKindOf(form)) return false;
  if (response.kind === 'choice' && form.kind === 'choice') return response.index < form.options.length;
  if (response.kind === 'order')
    return (
      response.order.length === pictures.length &&
      new Set(response.order).size === pictures.length &&
      Math.max(...response.order) < pictures.length
    );
  if (response.kind === 'mark' && solution.kind === 'mark') return response.at.length === solution.at.length;
  if (response.kind === 'amounts' && form.kind === 'amounts')
    return response.grams.length === form.things.length;
  if (response.kind === 'shares' && form.kind === 'shares')
    return response.shares.length === form.places.length && response.natural < form.naturals.length;
  if (response.kind === 'clock' && form.kind === 'clock')
    return (
      response.starts.length === form.zones.length &&
      [...response.starts, ...response.checks, response.rinse].every((at) => at <= form.most)
    );
  if (response.kind === 'figure' && form.kind === 'share') return response.value <= 1;
  if (response.kind === 'figure' && form.kind === 'level') return response.value >= 1 && response.value <= 10;
  return true;
}

const rounded = (value: number, to = 100) => Math.round(value * to) / to;

/** The nearest known wrong figure that a given one stands for: within what rounding in the head would do. */
function slipAt({ slips, solution }: Item, response: Response): Reason | null {
  if (response.kind === 'choice') return slips.find(({ answer }) => answer === response.index)?.why ?? null;
  if (response.kind !== 'figure' || solution.kind !== 'figure') return null;
  const near = (answer: number) => Math.abs(answer - response.value) <= Math.max(0.1, answer * 0.01);
  return slips.find(({ answer }) => near(answer))?.why ?? null;
}

/** By how much, and to which side, a level or a share of white was read wrong, and what made it look so. */
function readingSlip({ about, reads, solution, deceits }: Item, response: Response): Reason | null {
  if (response.kind !== 'figure' || solution.kind !== 'figure') return null;
  const off = rounded(response.value - solution.value);
  const way = off > 0 ? 'lighter' : 'darker';
  // Items made before there were any have none.
  const deceit = (deceits ?? []).find((one) => one.way === way);
  if (about?.of === 'level')
    return reason(
      `drill.level.${way === 'lighter' ? 'readTooLight' : 'readTooDark'}.${deceit?.code ?? 'plain'}`,
      deceit?.rule ?? 'L1',
      { levels: Math.abs(off) },
    );
  if (reads === 'white')
    return reason(off > 0 ? 'drill.grey.readTooMuch' : 'drill.grey.readTooLittle', 'L3', {
      share: Math.abs(off),
    });
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
export const strandCm = (share: number) => rounded(share * STRAND_CM, 10);
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
export const PULLED_TOO_FAR = 0.75;
function pulledTooFar({ question: { hands } }: Item, response: Response): Reason | null {
  if (hands?.kind !== 'stretch' || response.kind !== 'choice' || response.pulled === undefined) return null;
  return response.pulled > PULLED_TOO_FAR ? reason('drill.condition.pulledTooFar', 'C1') : null;
}

const SLIPS = [
  slipAt, readingSlip, orderSlip, markSlip, pourSlip, weighSlip, sharesSlip, clockSlip, meaningOf,
] as const; // prettier-ignore

/** Marks one response. @throws RangeError when it cannot be an answer to this item. */
export function markItem(item: Item, response: Response): DrillMark {
  if (!fitsForm(item, response)) throw new RangeError('this is not an answer to this item');
  const torn = pulledTooFar(item, response);
  const score = scoreOf(item.solution, response) * (torn ? HALF : 1);
  const { about } = item;
  const reading =
    about?.of === 'level' && response.kind === 'figure'
      ? ({ of: 'level', truth: about.truth, given: response.value } as const)
      : about?.of === 'tone' && response.kind === 'choice'
        ? ({ of: 'tone', truth: about.truth, given: about.options[response.index] } as const)
        : null;
  let slip: Reason | null = null;
  if (score < 1 && scoreOf(item.solution, response) === 1) slip = torn;
  else if (score < 1) for (const find of SLIPS) slip ??= find(item, response);
  return { score, right: score === 1, why: item.why, slip, reading };
}

/** The response that is right. */
export function rightResponse({
  solution,
  question: { form },
}: Pick<Item, 'solution' | 'question'>): Response {
  switch (solution.kind) {
    case 'figure':
      return { kind: 'figure', value: solution.value };
    case 'choice':
      return { kind: 'choice', index: solution.right };
    case 'order':
      return { kind: 'order', order: solution.right };
    case 'mark':
      return { kind: 'mark', at: solution.at };
    case 'strength': {
      // Two strengths that hold the wanted one between them.
      const { vols, vol, grams } = solution;
      const first = (grams * (vol - vols[1])) / (vols[0] - vols[1]);
      return { kind: 'amounts', grams: [first, grams - first] };
    }
    case 'amounts':
      return { kind: 'amounts', grams: solution.grams };
    case 'shares':
      return { kind: 'shares', shares: solution.shares, natural: solution.natural };
    case 'clock': {
      const { starts, rinse, every } = solution;
      const begun = Math.min(...starts);
      const looks = Math.ceil((rinse - begun) / every) - 1;
      const checks = Array.from({ length: looks }, (_, i) => begun + every * (i + 1));
      return { kind: 'clock', starts, checks: form.kind === 'clock' ? checks : [], rinse };
    }
  }
}
