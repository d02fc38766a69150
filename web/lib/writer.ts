import { newId } from './id';

const PLACE = 'cimbel.writer';

function nameOfTab(): string {
  try {
    const known = sessionStorage.getItem(PLACE);
    if (known) return known;
    const name = newId();
    sessionStorage.setItem(PLACE, name);
    return name;
  } catch {
    return newId();
  }
}

/** How long a page that was reloaded may still hold the name of its tab, ms; on a busy machine it does for a moment. */
const LETS_GO_AFTER_MS = 2000;

/** Holds a name for as long as the tab is open; false where another tab holds it. */
const held = (name: string): Promise<boolean> =>
  new Promise((resolve) => {
    navigator.locks
      .request(`${PLACE}.${name}`, { signal: AbortSignal.timeout(LETS_GO_AFTER_MS) }, () => {
        resolve(true);
        return new Promise<void>(() => undefined);
      })
      .catch(() => resolve(false));
  });

async function find(): Promise<string> {
  const name = nameOfTab();
  // Without locks (an insecure address) a tab that was duplicated cannot be told from its first: each load is a writer.
  if (!('locks' in navigator)) return newId();
  if (await held(name)) return name;
  const made = newId();
  try {
    sessionStorage.setItem(PLACE, made);
  } catch {
    // It is then found anew with the next load.
  }
  await held(made);
  return made;
}

let found: Promise<string> | undefined;

/** Names this tab, so that the server can tell a repeat from another writer. The same after a reload, never two alike. */
export const writerOfTab = (): Promise<string> => (found ??= find());
