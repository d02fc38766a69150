import { fromOlderCards } from '../card';

type Json = Record<string, unknown>;
const isJson = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const each = (value: unknown, change: (record: Json) => Json): unknown =>
  Array.isArray(value) ? value.map((one) => (isJson(one) ? change(one) : one)) : value;

/** One kind of history, as the first version told it, in layers. What is none of them is left for the schema to name. */
function layersOf(history: unknown): unknown {
  if (!isJson(history)) return history;
  const { kind, ...figures } = history;
  switch (kind) {
    case 'untouched':
      return [];
    case 'coloured':
      return [{ kind: 'permanent', ...figures }];
    case 'lightened':
      return [history];
    case 'vivid': {
      const { level, ...dye } = figures;
      return [
        { kind: 'lightened', level },
        { kind: 'direct', ...dye },
      ];
    }
    default:
      return history;
  }
}

function packed(record: Json): Json {
  const { case: clientCase, open } = record;
  const head = isJson(clientCase) ? clientCase.head : undefined;
  const zones = isJson(head)
    ? each(head.zones, (zone) => ({ ...zone, history: layersOf(zone.history) }))
    : undefined;
  return {
    ...record,
    ...(isJson(clientCase) && isJson(head) ? { case: { ...clientCase, head: { ...head, zones } } } : {}),
    // Times were worked with the application.
    ...(Array.isArray(open)
      ? { open: open.flatMap((step) => (step === 'apply' ? ['apply', 'process'] : [step])) }
      : {}),
  };
}

/**
 * A pack of an older version as one of today: the first told one kind of history for a zone and counted times to
 * applying, the second told where a step began and at most one weave. Anything else as it is.
 */
export function ofToday(data: unknown): unknown {
  if (!isJson(data)) return data;
  const second =
    data.formatVersion === 1 ? { ...data, formatVersion: 2, cases: each(data.cases, packed) } : data;
  return second.formatVersion === 2
    ? { ...second, formatVersion: 3, cases: fromOlderCards(second.cases) }
    : second;
}
