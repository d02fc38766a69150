import type { Light } from '@cimbel/core/colour';
import { shownLook, looksByLight, type Looks } from '@cimbel/core/exercise';
import type { TressLook } from '@cimbel/core/draw';
import { LRUCache } from 'lru-cache';
import type { AssignmentRow } from '../assignments/row';

type PicturedRow = Pick<AssignmentRow, 'id' | 'client_case'>;

/** Heads whose hair is kept as it looks: what a few classes have before them at once. */
const MOST_KEPT = 500;
const looksByExercise = new LRUCache<string, Record<Light, Looks>>({ max: MOST_KEPT });
const hanging = new LRUCache<string, { look: TressLook | undefined }>({ max: 3 * MOST_KEPT });

/** A head may be set anew while nobody has begun, so it is known by what it is. */
const nameOf = ({ id, client_case }: PicturedRow) => `${id} ${JSON.stringify(client_case)}`;
const asExercise = ({ id, client_case }: PicturedRow) => ({ id, clientCase: client_case });

function cached<V extends object>(cache: LRUCache<string, V>, name: string, make: () => V): V {
  const known = cache.get(name) ?? make();
  cache.set(name, known);
  return known;
}

/** Its hair under every light as a student is sent it: pictures by their addresses. */
export const keptLit = (row: PicturedRow): Record<Light, Looks> =>
  cached(looksByExercise, nameOf(row), () =>
    looksByLight(
      asExercise(row),
      (light, region) => `/api/my/assignments/${row.id}/picture?light=${light}&region=${region}`,
    ),
  );

/** What such a picture is painted from; undefined where there is no such region. */
export const keptHanging = (row: PicturedRow, light: Light, region: number): TressLook | undefined =>
  cached(hanging, `${light} ${region} ${nameOf(row)}`, () => ({
    look: shownLook(asExercise(row), light, region),
  })).look;
