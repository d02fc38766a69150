/** What is kept for the whole device, or for one tab of it: that outlives a reload and no other tab sees it. */
export type Kept = 'device' | 'tab';
const storeOf = (kept: Kept): Storage => (kept === 'device' ? localStorage : sessionStorage);

/** Storage that may be full, closed or hold something old: then it is as if nothing was kept. */
export function readKept<T>(name: string, kept: Kept = 'device'): T | null {
  try {
    const text = storeOf(kept).getItem(name);
    return text === null ? null : (JSON.parse(text) as T);
  } catch {
    return null;
  }
}

export function keep(name: string, value: unknown, kept: Kept = 'device'): void {
  try {
    storeOf(kept).setItem(name, JSON.stringify(value));
  } catch {
    // Nothing to be done here; the server still gets its copy.
  }
}

export function forget(name: string, kept: Kept = 'device'): void {
  try {
    storeOf(kept).removeItem(name);
  } catch {
    // As above.
  }
}

/** Every name that something is kept under. */
export function keptNames(kept: Kept = 'device'): string[] {
  try {
    const store = storeOf(kept);
    return Array.from({ length: store.length }, (_, i) => store.key(i)!);
  } catch {
    return [];
  }
}
