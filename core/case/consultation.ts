import type { HistoryLayer, ZoneOfHead } from '../hair';
import { stretchTest } from '../process';
import { type Reason, reason } from '../reason';
import { forbidsPeroxide } from '../rules';
import { type ClientCase, saltsOf } from './client-case';
import type { ConsultationQuestion, HairTest } from './questions';
import { strandOfZone } from './strands';
import { mineralsOf } from './zone-history';

const percent = (share: number) => Math.round(share * 100) / 100;

/** What reshaped hair is asked for by itself, and what water left nobody knows of. */
const isToldAsDone = ({ kind }: HistoryLayer) => kind !== 'chemical' && kind !== 'mineral';

/** What was done to a zone, newest first, as a client tells it: what and how often, never a level. */
const doneTo = ({ zone, history }: ZoneOfHead): Reason[] =>
  !history.some(isToldAsDone)
    ? [reason('reveal.layer.none', undefined, { zone })]
    : history
        .filter(isToldAsDone)
        .reverse()
        .map((layer) =>
          reason(`reveal.layer.${layer.kind}`, undefined, {
            zone,
            times: 'times' in layer ? (layer.times ?? 1) : 1,
          }),
        );

/** What the educator has the client say to a question, or that there is nothing to say. */
function saidOr(
  { told }: ClientCase['facts'],
  question: keyof NonNullable<ClientCase['facts']['told']>,
): Reason[] {
  const said = told?.[question];
  return [
    said ? reason('reveal.said', undefined, { said }) : reason(`reveal.nothing.${question}`, undefined),
  ];
}

/** What a question brings to light: what the client knows, never what the eye has to read. */
export function answerTo(
  { head, facts }: Pick<ClientCase, 'head' | 'facts'>,
  question: ConsultationQuestion,
): Reason[] {
  switch (question) {
    case 'lastColour':
      return [
        ...head.zones.flatMap(doneTo),
        ...(facts.weeksSinceColour === null
          ? []
          : [reason('reveal.lastWeeks', undefined, { weeks: facts.weeksSinceColour })]),
      ];
    case 'reactions':
      return [reason(facts.reaction ? 'reveal.reaction.yes' : 'reveal.reaction.no', undefined)];
    case 'scalp':
      return [reason(`reveal.scalp.${facts.scalp}`, undefined)];
    case 'metallicSalts':
      return [reason(`reveal.metallic.${saltsOf(facts)}`, 'C8')];
    case 'upkeep':
      return [reason('reveal.upkeep', undefined, { weeks: facts.upkeepWeeks })];
    case 'chemical': {
      const done = head.zones.flatMap(({ zone, history }) =>
        history.flatMap((layer) =>
          layer.kind === 'chemical'
            ? [reason(`reveal.chemical.${layer.service}`, 'C10', { zone, weeks: layer.weeksAgo })]
            : [],
        ),
      );
      return done.length > 0 ? done : saidOr(facts, question);
    }
    case 'habits':
      return [
        ...saidOr(facts, question),
        ...(head.zones.some((zone) => mineralsOf(zone) > 0) ? [reason('reveal.minerals', 'C10')] : []),
      ];
    case 'medicines':
    case 'budget':
    case 'mustKeep':
      return saidOr(facts, question);
  }
}

/** What a test shows (C1–C3). */
export function shownBy({ head, facts }: Pick<ClientCase, 'head' | 'facts'>, test: HairTest): Reason[] {
  switch (test) {
    case 'patch':
      return [reason(facts.reaction ? 'reveal.patch.reacts' : 'reveal.patch.clear', 'C3')];
    case 'strand':
      return [reason('reveal.strand.sound', 'C3')];
    case 'incompatibility':
      return [reason(`reveal.incompatibility.${forbidsPeroxide(saltsOf(facts)) ? 'heats' : 'quiet'}`, 'C3')];
    case 'elasticity':
      return head.zones.map(({ zone }) => {
        const { outcome, stretches, returns } = stretchTest(strandOfZone(head, zone));
        return reason(`reveal.elasticity.${outcome}`, 'C1', {
          zone,
          stretches: percent(stretches),
          returns: percent(returns),
        });
      });
    case 'porosity':
      return head.zones.map(({ zone, porosity }) => reason(`reveal.porosity.${porosity}`, 'C2', { zone }));
  }
}

/** One question put or one test made. */
export type QuestionOrTest = { question: ConsultationQuestion } | { test: HairTest };

/** What one question or test brings to light. */
export const revealOf = (clientCase: Pick<ClientCase, 'head' | 'facts'>, asked: QuestionOrTest): Reason[] =>
  'question' in asked ? answerTo(clientCase, asked.question) : shownBy(clientCase, asked.test);

/** Everything a card has asked and tested, by the name of question or test, with what came of it. */
export const revealsOf = (
  clientCase: Pick<ClientCase, 'head' | 'facts'>,
  { asked, tests }: { asked: readonly ConsultationQuestion[]; tests: readonly HairTest[] },
): Record<string, Reason[]> =>
  Object.fromEntries([
    ...asked.map((question) => [question, answerTo(clientCase, question)]),
    ...tests.map((test) => [test, shownBy(clientCase, test)]),
  ]);
