import { type RulingName, rulingCode } from '../method';
import { type Reason, reason } from '../reason';

/**
 * Everything a criterion can say of a place or of the head, right things too: what costs nothing is said as well. Marking
 * reads these names; what is shown is derived from them, so that another wording can never be another mark.
 */
export const FAULTS = {
  reading: ['open', 'right', 'tooDark', 'tooLight'],
  grey: ['open', 'right', 'off'],
  prediction: ['open', 'right', 'neighbour', 'wrong'],
  counter: ['open', 'right', 'followed', 'shouldKeep', 'kept', 'wrong', 'otherDose'],
  route: [
    'right',
    'unfinished',
    'otherProduct',
    'extra',
    'notAsked',
    'leftover',
    'otherRefresh',
    'costlier',
    'blends',
    'takesWarmth',
    'notChelated',
    'washedOut',
    'beyondLimit',
  ],
  shades: ['equivalent'],
  depth: [
    'open',
    'right',
    'tooLight',
    'tooDark',
    'lighterThanHair',
    'highLift',
    'notHighLift',
    'noColour',
    'clear',
    'notClear',
  ],
  tone: [
    'open',
    'right',
    'notNeutral',
    'missing',
    'sameSideAsWarmth',
    'cancelsTarget',
    'thin',
    'strong',
    'offDirection',
    'vivid',
    'otherVivid',
  ],
  greyShare: ['open', 'right', 'none', 'short', 'tooMuch'],
  developer: [
    'open',
    'right',
    'rightBlend',
    'none',
    'notNeeded',
    'lightenerStrong',
    'lightenerVol',
    'tooWeak',
    'tooStrong',
    'liftOnLift',
    'noDilution',
    'notOfLine',
    'lineCannot',
    'leftover',
    'tooWeakForGrey',
  ],
  ratio: ['open', 'right', 'turned', 'tooThick', 'tooThin'],
  amount: ['open', 'right', 'tooLittle', 'tooMuch', 'unused', 'twice', 'unread'],
  order: [
    'open',
    'plain',
    'rootFirst',
    'rootWaits',
    'rootTime',
    'stopsAtLine',
    'overlap',
    'pulledThrough',
    'noFoils',
    'foils',
    'otherShare',
    'otherTaken',
    'greyFirst',
    'greyLast',
    'densestFirst',
    'thinnestFirst',
    'darkestFirst',
    'lightestFirst',
    'tooSoon',
    'inTurn',
    'refreshLast',
    'refreshEarly',
    'leftoverEarly',
    'wet',
    'washRight',
    'washOpen',
    'washOther',
    'protected',
    'unprotected',
    'apart',
    'notApart',
    'melted',
    'meltLeftHard',
    'areasLeftOut',
    'treatedUnrinsed',
    'washedOut',
    'notWashedOut',
  ],
  timing: [
    'open',
    'right',
    'tooShort',
    'tooLong',
    'greyShort',
    'caught',
    'notThere',
    'past',
    'pastActive',
    'lineCannot',
    'noChecks',
    'checked',
    'seldom',
    'neverLookedAt',
    'neverRinsed',
    'warmth',
    'heatLate',
    'heatEarly',
    'signSeen',
    'otherSign',
  ],
  safety: [
    'notAsked',
    'notTested',
    'notReady',
    'goesOn',
    'declined',
    'undecided',
    'needlessDecline',
    'shouldDecline',
    'declinedUnasked',
    'gentleInstead',
    'visits',
    'visitsOpen',
    'tooFewVisits',
    'tooManyVisits',
  ],
  aftercare: [
    'open',
    'missing',
    'besides',
    'noDate',
    'otherDate',
    'quoted',
    'quoteOpen',
    'priceTooLow',
    'priceTooHigh',
    'minutesTooFew',
    'minutesTooMany',
  ],
} as const;
type FaultGroup = keyof typeof FAULTS;
/** Faults of one group, by their last name. */
export type FaultOf<Group extends FaultGroup> = (typeof FAULTS)[Group][number];
/** A technique that the rules forbid on a place is a fault by the name of the ruling. */
export type FaultName =
  { [Group in FaultGroup]: `${Group}.${FaultOf<Group>}` }[FaultGroup] | `ruling.${RulingName}`;

/** What is said of a place or of the head, as marking reads it. */
export interface Fault {
  /** Which fault it is. */
  name: FaultName;
  /** Id of the rule it rests on; none where it is plain. */
  rule: string | undefined;
  /** Figures and names that its words need: levels, volumes, minutes, grams, fractions 0–1, names of places. */
  params: Reason['params'];
}
/** A fault as marking reads it. */
export const fault = (name: FaultName, rule: string | undefined, params: Reason['params'] = {}): Fault => ({
  name,
  rule,
  params,
});

/** What would hurt the client, by name. */
export const DANGERS = [
  'served',
  'nothingAsked',
  'strongOnScalp',
  'warmthOnScalp',
  'farPast',
  'onWeakHair',
  'beyondCondition',
  'onFailedHair',
  'hairFails',
  'neverRinsed',
  'leftUnder',
  'overlap',
] as const;
export type DangerName = (typeof DANGERS)[number];

const RULING = 'ruling.';
const isRuling = (name: FaultName): name is `ruling.${RulingName}` => name.startsWith(RULING);
/** Code of the words that a fault is told in. */
export const codeOfFault = (name: FaultName): string =>
  isRuling(name) ? rulingCode(name.slice(RULING.length) as RulingName) : `mark.${name}`;
/** A fault in the words of the interface. */
export const reasonOf = ({ name, rule, params }: Fault): Reason => reason(codeOfFault(name), rule, params);
/** A danger in the words of the interface. */
export const dangerReason = (name: DangerName, rule: string, params: Reason['params'] = {}): Reason =>
  reason(`danger.${name}`, rule, params);
