/** Local storage that may be full, closed or hold something old: then it is as if nothing was kept. */
export function readKept<T>(name: string): T | null {
  try {
    const text = localStorage.getItem(name);
    return text === null ? null : (JSON.parse(text) as T);
  } catch {
    return null;
  }
}

export function keep(name: string, value: unknown): void {
  try {
    localStorage.setItem(name, JSON.stringify(value));
  } catch {
    // Nothing to be done here; the server still gets its copy.
  }
}

export function forget(name: string): void {
  try {
    localStorage.removeItem(name);
  } catch {
    // As above.
  }
}
