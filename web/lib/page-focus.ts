/** The address one has come to from another page, until its heading has been reached; null where one stays. */
let awaited: string | null = null;

/** Another page is on its way; a page that is loaded anew begins at its top by itself. */
export function leavePage(pathname: string): void {
  awaited = pathname;
}

/**
 * The page of that address is there: the focus goes to its heading, once. A page that is drawn only after one has gone on
 * to the next takes nothing from that. What is asked in a dialog keeps the focus, and so does a field that the page itself
 * begins with.
 */
export function focusPage(heading: HTMLElement, pathname: string): void {
  if (awaited !== pathname || document.querySelector('[role="dialog"]')) return;
  awaited = null;
  if (!document.querySelector('main')?.contains(document.activeElement))
    heading.focus({ preventScroll: true });
}
