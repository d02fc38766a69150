import { amountFor } from '../case';
import { AREAS, type Head } from '../hair';
import type { Application } from './record-card';

/**
 * Mixed grams that some applications of one bowl take together, area by area (M2): what is put on the same hair twice is
 * taken from the bowl twice.
 */
export function gramsFor(
  head: Head,
  applications: readonly Application[],
): { minGrams: number; maxGrams: number } {
  const share = Math.max(...applications.map((application) => application.share));
  const needed = { minGrams: 0, maxGrams: 0 };
  for (const area of AREAS) {
    const here = applications.filter(({ areas }) => areas.includes(area));
    const zones = [...new Set(here.flatMap((application) => application.zones))];
    if (zones.length === 0) continue;
    const times = Math.max(
      ...zones.map((zone) => here.filter((application) => application.zones.includes(zone)).length),
    );
    const { minGrams, maxGrams } = amountFor(head, zones, share, [area]);
    needed.minGrams += minGrams * times;
    needed.maxGrams += maxGrams * times;
  }
  return needed;
}
