import {
  generate,
  nextSpec,
  type DrillContext,
  type Item,
  type ItemSpec,
  type Wanted,
} from '@cimbel/core/drill';

export type DrillJob = { id: number; context: DrillContext } & (
  { kind: 'make'; spec: ItemSpec } | { kind: 'next'; wanted: Wanted }
);
/** What is asked next and its item; null when nothing is left to ask. */
export interface DrillMade {
  spec: ItemSpec;
  item: Item;
}

self.onmessage = ({ data }: MessageEvent<DrillJob>) => {
  const { id, context } = data;
  try {
    const spec = data.kind === 'make' ? data.spec : nextSpec(data.wanted, context);
    self.postMessage({ id, made: spec ? { spec, item: generate(spec, context) } : null });
  } catch (error) {
    self.postMessage({ id, error: error instanceof Error ? error.message : String(error) });
  }
};
