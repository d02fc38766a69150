/** Whether one has come from another page of the application and its heading has not been reached yet. */
let arriving = false;

/** Another page is on its way; a page that is loaded anew begins at its top by itself. */
export function leavePage(): void {
  arriving = true;
}

/**
 * The page is there: the focus goes to its heading, once. What is asked in a dialog keeps it, and so does a field that the
 * page itself begins with.
 */
export function focusPage(heading: HTMLElement): void {
  if (!arriving || document.querySelector('[role="dialog"]')) return;
  arriving = false;
  if (!document.querySelector('main')?.contains(document.activeElement))
    heading.focus({ preventScroll: true });
}
