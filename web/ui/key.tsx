import type { ReactNode } from 'react';

/** A key of the keyboard, where it is named beside what it does. */
export const Key = ({ children }: { children: ReactNode }) => (
  <kbd className="border-strong-line bg-raised text-ink rounded-sm border px-1.5 font-sans text-sm">
    {children}
  </kbd>
);
