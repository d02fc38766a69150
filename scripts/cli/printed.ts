import { codeOfFault, type Grade } from '../../core/mark';
import type { ModelAnswer } from '../../core/solve';
import { inFileNames } from '../../core/io';

/** What the command line prints keeps its keys, whatever the code calls things: other people's programs read it. */
export const printedAnswer = ({
  card,
  choices,
  visits,
  stops,
  proof,
  equivalents,
}: ModelAnswer): Record<string, unknown> => ({
  best: card,
  choices: choices.map(({ part, technique, ...rest }) => ({ part, route: technique, ...rest })),
  visits: visits.map(({ card: plan, ...visit }) => ({ ...visit, ...(plan ? { plan } : {}) })),
  stops: stops.map(({ stop: _stop, ...message }) => message),
  proof,
  equivalents,
});

/** A grade as it is printed. */
export function printedGrade({ places, decided, crucial, ...grade }: Grade): Record<string, unknown> {
  const lastName = /[^.]+$/;
  return {
    ...grade,
    ...(decided ? { decided: { ...decided, code: decided.code.replace(lastName, inFileNames) } } : {}),
    ...(crucial
      ? {
          crucial: crucial.map(({ faults, ...decision }) => ({
            ...decision,
            codes: faults && faults.map(codeOfFault),
          })),
        }
      : {}),
    outcome: places.map(({ outcome, cause, ...place }) => ({
      ...place,
      ...(outcome ? { cameOut: inFileNames<string>(outcome) } : {}),
      ...(cause ? { because: cause } : {}),
    })),
  };
}
