import type { RecordCard, Application, Bowl } from '../card';
import { type ClientCase, amountFor } from '../case';
import { areasOf, regionsOf, type PlaceId, placeParts, type Area } from '../hair';
import { shippedLine, type Line } from '../product';
import { AREA_ORDERS, TAKEN_AS } from '../rules';
import { step } from './cards';

/**
 * Bowls and steps as a colourist jots them down, one a line:
 *   A tarnwick 6:0*3 6:1 @20           bowl A: three parts and one, 20 vol
 *   B calder @10+30 r3 x0.5            two strengths half and half, ratio 1:3, half of the amount its places need
 *   C tarnwick 4:0 @40+w               a strength and as much water
 *   A>regrowth 0-45 front              bowl A on the regrowth from minute 0 to 45, begun at the front
 *   B>mids,ends 10-55 check10 over     looked at every 10 minutes, run over the line
 *   C>crown-mids 0-30                  the mid-lengths of one region; a zone alone is that of every region
 * Flags of a step: front, from:crown,nape (areas in order), over, wet, heat, stay, checkN, foils0.3, between0.7, fineWeave and the like. What is not said is plain, and a
 * bowl is as large as its places need.
 */
export function jotted(
  words: string,
  { head }: Pick<ClientCase, 'head'>,
): Pick<RecordCard, 'bowls' | 'steps'> {
  const lines = words
    .split(/[\n;]/)
    .map((line) => line.trim())
    .filter((line) => line !== '');
  const steps = lines.filter((line) => line[1] === '>').map((line) => stepOf(line, head));
  const bowls = lines.filter((line) => line[1] !== '>').map((line) => bowlOf(line, steps, head));
  return { bowls, steps };
}

function stepOf(line: string, head: ClientCase['head']): Application {
  const [where, span, ...flags] = line.split(/\s+/);
  const [bowl, zones] = where.split('>');
  const [start, end] = span.split('-').map(Number);
  const application = step({ bowl, zones: placesOf(zones.split(','), head), start, minutes: end - start });
  const worn = areasOf(regionsOf(head), application.zones);
  const change: Partial<Application> = { areas: AREA_ORDERS.napeUp.filter((area) => worn.includes(area)) };
  for (const flag of flags) {
    if (flag === 'front') change.areas = AREA_ORDERS.faceBack.filter((area) => worn.includes(area));
    else if (flag.startsWith('from:')) change.areas = flag.slice(5).split(',') as Area[];
    else if (TAKEN_AS.includes(flag as never)) change.taken = flag as Application['taken'];
    else if (flag === 'over') change.stopsAtLine = false;
    else if (flag === 'wet') change.wet = true;
    else if (flag === 'heat') change.heat = { from: 0, to: application.minutes };
    else if (flag === 'stay') change.ends = 'stay';
    else if (flag.startsWith('check')) change.checkEvery = Number(flag.slice(5));
    else if (flag.startsWith('foils'))
      Object.assign(change, { placement: 'foils', share: Number(flag.slice(5)) });
    else if (flag.startsWith('between'))
      Object.assign(change, { placement: 'between', share: Number(flag.slice(7)) });
    else throw new Error(`no such flag: ${flag}`);
  }
  return { ...application, ...change };
}

/** Places by name; the name of a zone stands for that zone of every region. */
const placesOf = (names: readonly string[], head: ClientCase['head']): PlaceId[] =>
  names.flatMap((name) =>
    head.zones.flatMap(({ zone }) => (zone === name || placeParts(zone).zone === name ? [zone] : [])),
  );

const tenth = (grams: number) => Math.round(grams * 10) / 10;

function bowlOf(line: string, steps: readonly Application[], head: ClientCase['head']): Bowl {
  const [name, lineId, ...words] = line.split(/\s+/);
  const found = shippedLine(lineId);
  if (!found) throw new Error(`no such line: ${lineId}`);
  const own = steps.filter(({ bowl }) => bowl === name);
  const zones = [...new Set(own.flatMap((application) => application.zones))];
  const guide = amountFor(head, zones, Math.max(...own.map(({ share }) => share)));
  let [factor, ratio] = [1, found.ratios[0] ?? 0];
  let poured: number[] = [];
  const parts: [string, number][] = [];
  let conditioner = 0;
  for (const word of words) {
    if (/^x[\d.]+$/.test(word)) factor = Number(word.slice(1));
    else if (/^r[\d.]+$/.test(word)) ratio = Number(word.slice(1));
    else if (word === 'conditioner') conditioner = 1;
    else if (word.startsWith('@'))
      poured = word
        .slice(1)
        .split('+')
        .map((vol) => (vol === 'w' ? 0 : Number(vol)));
    else {
      const [label, times = '1'] = word.replace('_', ' ').split('*');
      parts.push([label, Number(times)]);
    }
  }
  if (poured.length === 0) poured = defaultVol(found);
  const total = ((guide.minGrams + guide.maxGrams) / 2) * factor;
  const colour = poured.length === 0 ? total : total / (1 + ratio + conditioner);
  const all = parts.reduce((sum, [, times]) => sum + times, 0);
  return {
    name,
    lineId,
    shades: parts.map(([label, times]) => ({ label, grams: tenth((colour * times) / all) })),
    productGrams: parts.length === 0 ? tenth(colour) : 0,
    developer: poured.map((vol) => ({ vol, grams: tenth((colour * ratio) / poured.length) })),
    additive: false,
    ...(conditioner ? { others: [{ kind: 'conditioner' as const, grams: tenth(colour) }] } : {}),
  };
}

/** The liquid of a line that has only one; others are always written. */
const defaultVol = ({ developersVol }: Line): number[] =>
  developersVol.length === 1 ? [...developersVol] : [];
