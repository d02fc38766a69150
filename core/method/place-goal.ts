import {
  type Part,
  type ClientCase,
  type HeadAndWish,
  partsOf,
  type Past,
  pastOf,
  presentLevel,
  type Target,
  strandOfZone,
} from '../case';
import { type Porosity, type Diameter, zoneOf, regionOf, beginsAtScalp } from '../hair';
import { type Condition, conditionOf } from '../process';
import type { Place } from '../rules';

/** A part of the head with a wish: what there is and what is asked, for the rules. */
export interface Task {
  part: Part;
  natural: number;
  /** Level that shows today. */
  present: number;
  history: Past;
  greyShare: number;
  porosity: Porosity;
  diameter: Diameter;
  condition: Condition;
  target: Target;
  /** White strands that resist dye (F8). */
  resistant: boolean;
  /** Whether what is put on openly touches the scalp: the part begins there (D4). */
  place: Place;
  lengthCm: number;
}

/**
 * White hair is as light as hair gets: for the palest wishes it is toned like lightened hair, as nothing in it can be
 * lifted. Deeper wishes have to be covered, as white always is (F8).
 */
const WHITE_HAIR_LEVEL = 10;
/** From this fraction of white on, and for wishes this light, hair is worked as white hair. */
export const ALL_WHITE = { from: 0.9, lightFrom: 9.5 };

export function taskOf({ head }: Pick<ClientCase, 'head'>, part: Part): Task | null {
  const found = zoneOf(head, part.zone);
  if (!found || !part.target) return null;
  const history = pastOf(found);
  const white =
    history.kind === 'untouched' &&
    found.greyShare >= ALL_WHITE.from &&
    part.target.level >= ALL_WHITE.lightFrom;
  return {
    part,
    natural: white ? WHITE_HAIR_LEVEL : found.naturalLevel,
    present: white ? WHITE_HAIR_LEVEL : presentLevel(found),
    history: white ? { kind: 'lightened', level: WHITE_HAIR_LEVEL } : history,
    greyShare: white || part.target.grey === 'leave' ? 0 : found.greyShare,
    resistant: found.resistant ?? false,
    porosity: found.porosity,
    diameter: regionOf(head, part.zone).diameter,
    condition: conditionOf(strandOfZone(head, part.zone)),
    target: part.target,
    // Foils hold the product off the skin (D4).
    place: !part.woven && beginsAtScalp(head, part.zone) ? 'onScalp' : 'offScalp',
    lengthCm: found.lengthCm,
  };
}

/** Every part of the head with a wish. */
export const tasksOf = (clientCase: HeadAndWish): Task[] =>
  partsOf(clientCase).flatMap((part) => taskOf(clientCase, part) ?? []);
