/** A private link from which a calendar fetches due dates, as its owner sees it: never the address itself again. */
export interface CalendarLink {
  /** When it was made, ISO 8601. */
  madeAt: string;
  /** When a calendar last fetched it, ISO 8601, to the hour; null before it was. */
  fetchedAt: string | null;
}
/** One that has just been made: the only time its address is told. */
export interface FreshCalendarLink extends CalendarLink {
  /** Path below the address of this installation, with a secret of 128 bits in it. */
  path: string;
}
