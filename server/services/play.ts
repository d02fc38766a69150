import type { PlayAsked, PlayShown } from '@cimbel/contract';
import { seedFrom } from '@cimbel/core';
import { playPlan } from '@cimbel/core/plan';
import { conditionOf } from '@cimbel/core/process';
import type { ServiceRow } from '../exercises/row';
import { checkPlan } from './store';

/** Frames of a long service stand two minutes apart, so that no answer grows past what a phone takes at once. */
const EVERY_MINUTE_UNTIL = 120;
const short = (value: number) => Math.round(value * 10) / 10;

/**
 * Plays a student's plan on the head of the exercise. It is done here so that the head's figures stay here: the student
 * gets what the eye would see, minute by minute, and which zones are hidden under a product.
 */
export function playForStudent(service: ServiceRow, asked: PlayAsked): PlayShown {
  checkPlan(asked, service.line);
  const played = playPlan(service.kase, asked, (id) => service.line.find((line) => line.id === id));
  const last = Math.min(360, played.minutes);
  const step = last > EVERY_MINUTE_UNTIL ? 2 : 1;
  const minutes = Array.from({ length: Math.floor(last / step) + 1 }, (_, i) => i * step);
  if (minutes[minutes.length - 1] !== last) minutes.push(last);
  const seed = seedFrom(service.id);
  return {
    minutes: last,
    frames: minutes.map((minute) => {
      const { zones, shine } = played.lookAt(minute, 'daylight', seed);
      const whole = played.parts.filter(({ woven }) => !woven);
      const lab = ({ l, a, b }: { l: number; a: number; b: number }) => ({
        l: short(l),
        a: short(a),
        b: short(b),
      });
      return {
        minute,
        zones: zones.map((zone) => ({ ...zone, colour: lab(zone.colour), grey: lab(zone.grey) })),
        shine: short(shine),
        covered: whole.flatMap((part) => (played.momentOf(part, minute).lying ? [part.zone] : [])),
        failing: whole.flatMap((part) =>
          conditionOf(played.momentOf(part, minute).strand) === 'failed' ? [part.zone] : [],
        ),
      };
    }),
  };
}
