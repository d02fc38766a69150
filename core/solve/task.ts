import type { Diameter, Porosity } from '../hair';
import {
  fromScalpCm,
  partsOf,
  presentLevel,
  strandOfZone,
  zoneOf,
  pastOf,
  type Past,
  type Part,
  type ClientCase,
  type Target,
} from '../card';
import { conditionOf, type Condition } from '../process';
import type { Place } from '../theory';

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
  /** Whether what is put on openly lies within the warmth of the scalp. */
  place: Place;
  lengthCm: number;
}

/** Hair whose middle is nearer the scalp than this is on it: what is put on touches skin (D4, A5). */
const ON_SCALP_CM = 2;

export function taskOf({ head }: Pick<ClientCase, 'head'>, part: Part): Task | null {
  const found = zoneOf(head, part.zone);
  if (!found || !part.target) return null;
  return {
    part,
    natural: found.naturalLevel,
    present: presentLevel(found),
    history: pastOf(found),
    greyShare: found.greyShare,
    porosity: found.porosity,
    diameter: head.diameter,
    condition: conditionOf(strandOfZone(head, part.zone)),
    target: part.target,
    // Foils hold the product off the skin (D4).
    place: !part.woven && fromScalpCm(head, part.zone) <= ON_SCALP_CM ? 'onScalp' : 'offScalp',
    lengthCm: found.lengthCm,
  };
}

/** Every part of the head with a wish. */
export const tasksOf = (clientCase: Pick<ClientCase, 'head' | 'wish' | 'weave'>): Task[] =>
  partsOf(clientCase).flatMap((part) => taskOf(clientCase, part) ?? []);
