import {
  generate,
  nextItem,
  type DrillContext,
  type Item,
  type ItemSpec,
  type PracticeRequest,
} from '@cimbel/core/drill';

export type DrillJob = { id: number; context: DrillContext } & (
  { kind: 'make'; spec: ItemSpec } | { kind: 'next'; wanted: PracticeRequest }
);
/** What is asked next and its item; null when nothing is left to ask. */
export interface DrillMade {
  spec: ItemSpec;
  item: Item;
}

self.onmessage = ({ data }: MessageEvent<DrillJob>) => {
  const { id, context } = data;
  try {
    const drillMade: DrillMade | null =
      data.kind === 'make'
        ? { spec: data.spec, item: generate(data.spec, context) }
        : nextItem(data.wanted, context);
    self.postMessage({ id, made: drillMade });
  } catch (error) {
    self.postMessage({ id, error: error instanceof Error ? error.message : String(error) });
  }
};
