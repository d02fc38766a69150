import {
  type Part,
  type ChemicalPast,
  chemicalOf,
  mineralsOf,
  type ClientCase,
  type HeadAndWish,
  partsOf,
  type UppermostHistory,
  uppermostHistory,
  presentLevel,
  type Target,
  strandOfZone,
} from '../case';
import { toHalfLevel } from '../colour';
import {
  type Porosity,
  type Diameter,
  type Strand,
  zoneOf,
  regionOf,
  beginsAtScalp,
  levelOfPigmented,
} from '../hair';
import { type Condition, conditionOf, type Mix, strandUnder } from '../process';
import type { ScalpContact } from '../rules';

/** A part of the head with a wish: what there is and what is asked, for the rules. */
export interface PlaceGoal {
  /** Part of the head. */
  part: Part;
  /** Natural level. */
  natural: number;
  /** Level that shows today. */
  present: number;
  /** What the layers come to for the rules. */
  history: UppermostHistory;
  /** Share of white strands, fraction 0–1. */
  greyShare: number;
  /** How open the surface is. */
  porosity: Porosity;
  /** Thickness of a hair. */
  diameter: Diameter;
  /** Condition by strength and moisture. */
  condition: Condition;
  /** Level and tone wished for. */
  target: Target;
  /** White strands that resist dye (F8). */
  resistant: boolean;
  /** Whether what is put on openly touches the scalp: the part begins there (D4). */
  scalpContact: ScalpContact;
  /** Length, centimetres. */
  lengthCm: number;
  /** Level that a remover alone brings the hair to: its own, or less where dye has built up (C4); null without dye. */
  afterRemover: number | null;
  /** Chemical service that binds what may be done; null where there was none (C10). */
  chemical: ChemicalPast | null;
  /** Minerals that have to be chelated first, 0–1 (C10). */
  minerals: number;
}

/**
 * White hair is as light as hair gets: for the palest wishes it is toned like lightened hair, as nothing in it can be
 * lifted. Deeper wishes have to be covered, as white always is (F8).
 */
const WHITE_HAIR_LEVEL = 10;
/** From this fraction of white on, and for wishes this light, hair is worked as white hair. */
export const AS_WHITE_HAIR = { from: 0.9, lightFrom: 9.5 };

const REMOVER: Mix = { product: 'remover', shades: [], developerVol: 0, ratio: 1 };
const REMOVER_MINUTES = 20;
const removed = new WeakMap<Strand, number>();
/** Level after one run of remover, to the half, by the hair model. Strands are kept with their head, so this is found once. */
function levelAfterRemover(head: ClientCase['head'], zone: Part['zone']): number {
  const strand = strandOfZone(head, zone);
  const level =
    removed.get(strand) ??
    toHalfLevel(levelOfPigmented(strandUnder({ mix: REMOVER }, strand, REMOVER_MINUTES)));
  removed.set(strand, level);
  return level;
}

/** The goal of a part; null where nothing is wished for. */
export function goalOf({ head }: Pick<ClientCase, 'head'>, part: Part): PlaceGoal | null {
  const zone = zoneOf(head, part.zone);
  if (!zone || !part.target) return null;
  const history = uppermostHistory(zone);
  const white =
    history.kind === 'untouched' &&
    zone.greyShare >= AS_WHITE_HAIR.from &&
    part.target.level >= AS_WHITE_HAIR.lightFrom;
  return {
    part,
    natural: white ? WHITE_HAIR_LEVEL : zone.naturalLevel,
    present: white ? WHITE_HAIR_LEVEL : presentLevel(zone),
    history: white ? { kind: 'lightened', level: WHITE_HAIR_LEVEL } : history,
    greyShare: white || part.target.grey === 'leave' ? 0 : zone.greyShare,
    resistant: zone.resistant ?? false,
    porosity: zone.porosity,
    diameter: regionOf(head, part.zone).diameter,
    condition: conditionOf(strandOfZone(head, part.zone)),
    target: part.target,
    // Foils hold the product off the skin (D4).
    scalpContact: !part.woven && beginsAtScalp(head, part.zone) ? 'onScalp' : 'offScalp',
    lengthCm: zone.lengthCm,
    afterRemover: history.kind === 'coloured' ? levelAfterRemover(head, part.zone) : null,
    chemical: chemicalOf(zone),
    minerals: mineralsOf(zone),
  };
}

/** Every part of the head with a wish. */
export const goalsOf = (clientCase: HeadAndWish): PlaceGoal[] =>
  partsOf(clientCase).flatMap((part) => goalOf(clientCase, part) ?? []);
