import type { Skill } from '@cimbel/core/drill';
import type { Criterion } from '@cimbel/core/exercise';
import type { Misconception } from '@cimbel/core/mark';

/** Drills that practise what a criterion asks for. */
export const SKILLS_FOR_CRITERION: Record<Criterion, readonly Skill[]> = {
  reading: ['level', 'tone', 'grey'],
  prediction: ['underlay', 'predict'],
  route: ['product', 'correction'],
  depth: ['toner', 'formula'],
  tone: ['toner', 'label'],
  greyShare: ['grey'],
  developer: ['developer', 'dilution'],
  ratio: ['ratio'],
  amount: ['ratio'],
  order: ['application', 'zones'],
  timing: ['timing'],
  safety: ['condition', 'care'],
  aftercare: ['care'],
};

/** Drills that practise what a way of thinking has wrong. */
export const SKILLS_FOR_MISCONCEPTION: Record<Misconception, readonly Skill[]> = {
  colourLiftsColour: ['product', 'correction'],
  tonerLightens: ['toner', 'product'],
  liftOnLift: ['product', 'correction'],
  noFiller: ['correction', 'formula'],
  tooFarByColour: ['product', 'developer'],
  tooMuchAtOnce: ['condition', 'product'],
  tonerLighterThanHair: ['toner'],
  strongerThanNeeded: ['developer'],
  depositForLift: ['developer', 'product'],
  strongOnScalp: ['developer', 'condition'],
  warmOnWarm: ['predict', 'tone'],
  otherLinesKey: ['label'],
  otherLinesRatio: ['ratio'],
  ratioTurned: ['ratio'],
  noNaturalOnGrey: ['grey', 'formula'],
  greyTakenOffEarly: ['timing', 'grey'],
  tooLittleProduct: ['ratio'],
  rootsFirst: ['application', 'zones'],
  overlap: ['application', 'zones'],
  oneVisitPromise: ['condition', 'correction'],
  servedInSpite: ['condition', 'care'],
  depositForGrey: ['grey', 'developer'],
  blendForCover: ['grey'],
  powderOnVivid: ['product', 'correction'],
  pulledThrough: ['application', 'zones'],
  lightenerUnwatched: ['timing'],
  rinseForgotten: ['timing', 'application'],
};
