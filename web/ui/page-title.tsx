import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** The name of a page, and before it the way back to what it belongs to. */
export function PageTitle({
  back,
  children,
  className = 'text-2xl',
}: {
  back: { to: string; text: string };
  children: ReactNode;
  className?: string;
}) {
  return (
    <h1 className={className}>
      <Link to={back.to} className="text-quiet font-sans text-sm font-normal underline">
        {back.text}
      </Link>{' '}
      {children}
    </h1>
  );
}
