import { reason } from '../reason';
import { refreshWay } from '../theory';
import { mean, scored, zoneReason, type JudgeContext, type Scored } from './context';

const UNFINISHED = 0.5;
const WITH_EXTRA = 0.75;

/** The route of every part: allowed here or not, all of it there or not, nothing besides. */
export function markRoute({ clientCase, lineOf, parts, unasked, rules }: JudgeContext): Scored | null {
  const school = refreshWay(
    rules,
    clientCase.lineIds.flatMap((id) => lineOf(id) ?? []),
  );
  const all = parts.map((part): Scored => {
    const at = { ...zoneReason(part.task), route: part.route };
    if (!part.ruling.allowed) {
      const { code, params, rule } = part.ruling.reason;
      return scored(0, reason(code, rule, { ...params, ...at }));
    }
    const missing = part.layers.find(({ seen }) => !seen);
    if (missing)
      return scored(
        UNFINISHED,
        reason('mark.route.unfinished', 'F4', { ...at, missing: missing.layer.role }),
      );
    if (part.leftover) {
      const { way } = part.leftover;
      return way === school
        ? scored(1, reason('mark.route.leftover', 'A1', { ...at, way }))
        : scored(UNFINISHED, reason('mark.route.otherRefresh', 'A1', { ...at, way, school }));
    }
    const product = part.layers.find(
      ({ layer, seen }) =>
        seen &&
        !layer.products.some(
          (one) => one === seen.line.kind || (one === 'highLift' && seen.line.kind === 'permanent'),
        ),
    );
    if (product)
      return scored(
        UNFINISHED,
        reason('mark.route.otherProduct', 'F4', {
          ...at,
          line: product.seen!.line.name,
          kind: product.seen!.line.kind,
        }),
      );
    if (part.extra.length > 0)
      return scored(WITH_EXTRA, reason('mark.route.extra', 'D7', { ...at, line: part.extra[0].line.name }));
    return scored(1, reason('mark.route.right', part.ruling.reason.rule, at));
  });
  const besides = unasked.map(({ zone }) =>
    scored(0, reason('mark.route.notAsked', 'A1', { zone, woven: false })),
  );
  return mean([...all, ...besides]);
}
