import type { ReactNode } from 'react';
import { createPortal } from 'react-dom';

/** What is looked at in a dialog and printed whole, over as many pages as it takes: black on white, and nothing beside it. */
export function PrintSheet({ children, className = '' }: { children: ReactNode; className?: string }) {
  return (
    <>
      <div className={`max-h-[62dvh] overflow-y-auto ${className}`} tabIndex={0}>
        {children}
      </div>
      {createPortal(
        <div aria-hidden className={`print-sheet ${className}`}>
          {children}
        </div>,
        document.body,
      )}
    </>
  );
}
