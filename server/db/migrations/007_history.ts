/** Hair by one kind of history became hair by layers, oldest first: both shapes as they stood then. */
interface Layer {
  kind: string;
  level?: number;
  tone?: unknown;
  dye?: string;
  faded?: number;
}
interface Zone {
  history: unknown;
}
export interface Headed {
  head: { zones: Zone[] };
}

function layersOf({ kind, ...figures }: Layer): Layer[] {
  switch (kind) {
    case 'untouched':
      return [];
    case 'coloured':
      return [{ kind: 'permanent', ...figures }];
    case 'vivid':
      return [
        { kind: 'lightened', level: figures.level },
        { kind: 'direct', dye: figures.dye, faded: figures.faded },
      ];
    default:
      return [{ kind, ...figures }];
  }
}

/** Back to one kind; of more layers than that could say, what lies uppermost is left. */
function kindOf(layers: readonly Layer[], natural: number): Layer {
  const last = layers.filter(({ kind }) => kind !== 'treated').at(-1);
  if (!last) return { kind: 'untouched' };
  const { kind, level, tone, dye, faded = 0 } = last;
  if (kind === 'lightened') return { kind, level };
  if (kind !== 'direct') return { kind: 'coloured', level, tone, faded };
  const under = layers.findLast((layer) => layer.level !== undefined)?.level ?? natural;
  return { kind: 'vivid', level: under, dye, faded };
}

const withHistory = <C extends Headed>(clientCase: C, change: (zone: Zone) => unknown): C => ({
  ...clientCase,
  head: {
    ...clientCase.head,
    zones: clientCase.head.zones.map((zone) => ({ ...zone, history: change(zone) })),
  },
});

export const inLayers = <C extends Headed>(clientCase: C): C =>
  withHistory(clientCase, ({ history }) => layersOf(history as Layer));
export const inKinds = <C extends Headed>(clientCase: C): C =>
  withHistory(clientCase, ({ history, ...zone }) =>
    kindOf(history as Layer[], (zone as { naturalLevel?: number }).naturalLevel ?? 5),
  );
