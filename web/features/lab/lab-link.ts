import { readLab, type LabState } from '@cimbel/core/simulate';

/** A state of the laboratory as text for an address: JSON in base64url, nothing hidden, nothing on a server. */
export function toLink(state: LabState): string {
  const bytes = new TextEncoder().encode(JSON.stringify(state));
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');
}

/** The state in a link, or null when it holds none that can be read. */
export function fromLink(text: string): LabState | null {
  try {
    const bytes = Uint8Array.from(atob(text.replaceAll('-', '+').replaceAll('_', '/')), (c) =>
      c.charCodeAt(0),
    );
    return readLab(JSON.parse(new TextDecoder().decode(bytes)));
  } catch {
    return null;
  }
}
