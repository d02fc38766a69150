/**
 * Care that keeps cool blondes and browns: violet where yellow shows, from level 8 up, blue where orange shows, 5 to 7
 * (section 14). The wrong one of the two harms: blue over yellow turns it green.
 */
export const VIOLET_CARE_FROM = 8;
export const BLUE_CARE_FROM = 5;
