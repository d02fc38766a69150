import { TONE_FAMILIES, TONES } from '../../colour';
import { reason } from '../../reason';
import { levelsOf, lightFor } from '../context';
import { insist } from '../draw';
import { term } from '../item';
import { at, type Making, type SkillMaker } from '../make';
import { apartByLevel, keepsLevel, lookOfSubject, type Subject } from '../subject';

const SHINES = { dull: 0.15, shiny: 1 } as const;

const untouched = (level: number): Subject => ({ kind: 'natural', level, white: 0, porosity: 'normal' });

function subjectOf({ draw, step, facet, scope }: Making): Subject {
  const level = Number(facet) + (step >= 4 && Number(facet) < scope.maxLevel && draw.chance(0.5) ? 0.5 : 0);
  const toned = step >= 3 && draw.chance(0.7);
  // The palest hair carries no full copper or red.
  const tones = TONE_FAMILIES.filter(
    (family) => family !== 'neutral' && (level < 9 || TONES[family].pigment.strength < 1),
  );
  return toned ? { kind: 'toned', level, tone: { primary: draw.pick(tones) }, white: 0 } : untouched(level);
}

/** Skill 1: the level of a tress; cool, warm, shiny or dull, and under three lights (L1, L2). */
export const level: SkillMaker = {
  facets: ({ scope }) =>
    levelsOf(scope)
      .filter((depth) => scope.lights.some((light) => keepsLevel(untouched(depth), light)))
      .map(String),
  make: (making) => {
    const { draw, step, scope } = making;
    const halves = step >= 4;
    const subject = subjectOf(making);
    const light = lightFor(scope, step, draw.pick);
    insist(keepsLevel(subject, light), 'this lamp changes the level');
    const surface = step === 1 ? null : draw.pick(['dull', 'shiny', null] as const);
    const cast = subject.kind === 'toned' ? TONES[subject.tone.primary].temperature : null;
    const why = [reason('drill.level.is', 'L1', { level: subject.level })];
    if (cast === 'warm') why.push(reason('drill.level.warmLooksLighter', 'L2'));
    if (cast === 'cool') why.push(reason('drill.level.coolLooksDarker', 'L2'));
    if (surface)
      why.push(
        reason(surface === 'dull' ? 'drill.level.dullLooksLighter' : 'drill.level.shinyLooksDarker', 'L2'),
      );
    const look = lookOfSubject(subject, {
      light,
      seed: draw.seed(),
      form: step >= 3 ? draw.pick(['straight', 'wavy'] as const) : 'straight',
      shine: surface ? SHINES[surface] : 0.7,
    });
    return {
      ask: term(halves ? 'level.half' : 'level.whole'),
      pictures: [{ look, caption: null }],
      light,
      form: { kind: 'level', halves },
      solution: { kind: 'figure', value: subject.level, full: 0.01, near: at([1, 1, 1, 0.5, 0.5], step) },
      why,
      subject,
      reads: 'level',
      about: { of: 'level', truth: subject.level },
      apart: apartByLevel(subject, halves ? 0.5 : 1),
    };
  },
};
