import type { ZoneOfHead } from '../hair';
import { stretchTest } from '../process';
import { type Reason, reason } from '../reason';
import { forbidsPeroxide } from '../rules';
import { type ClientCase, saltsOf } from './client-case';
import type { ConsultationQuestion, HairTest } from './questions';
import { strandOfZone } from './strands';

const percent = (share: number) => Math.round(share * 100) / 100;

/** What was done to a zone, newest first, as a client tells it: what and how often, never a level. */
const doneTo = ({ zone, history }: ZoneOfHead): Reason[] =>
  history.length === 0
    ? [reason('reveal.layer.none', undefined, { zone })]
    : [...history].reverse().map((layer) =>
        reason(`reveal.layer.${layer.kind}`, undefined, {
          zone,
          times: 'times' in layer ? (layer.times ?? 1) : 1,
        }),
      );

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
    case 'medicines':
    case 'chemical':
    case 'habits':
    case 'budget':
    case 'mustKeep': {
      const said = facts.told?.[question];
      return [
        said ? reason('reveal.said', undefined, { said }) : reason(`reveal.nothing.${question}`, undefined),
      ];
    }
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
