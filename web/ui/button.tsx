import type { ButtonHTMLAttributes, ReactNode } from 'react';
import { Link, type LinkProps } from 'react-router';

type Weight = 'main' | 'plain' | 'quiet' | 'danger';
const BASE =
  'inline-flex min-h-10 items-center justify-center gap-2 rounded-sm px-4 py-1.5 text-base font-semibold transition-colors disabled:opacity-50 aria-disabled:opacity-50';
const WEIGHTS: Record<Weight, string> = {
  main: 'bg-accent text-on-accent hover:brightness-110',
  plain: 'border border-strong-line bg-raised text-ink hover:bg-sheet',
  quiet: 'text-ink underline decoration-strong-line underline-offset-4 hover:decoration-2 px-2',
  danger: 'border-2 border-bad bg-raised text-bad hover:bg-sheet',
};

interface Shared {
  weight?: Weight;
  icon?: ReactNode;
}

export function Button({
  weight = 'plain',
  icon,
  children,
  className = '',
  ...rest
}: Shared & ButtonHTMLAttributes<HTMLButtonElement>) {
  return (
    <button type="button" className={`${BASE} ${WEIGHTS[weight]} ${className}`} {...rest}>
      {icon}
      {children}
    </button>
  );
}

export function ButtonLink({
  weight = 'plain',
  icon,
  children,
  className = '',
  ...rest
}: Shared & LinkProps) {
  return (
    <Link className={`${BASE} ${WEIGHTS[weight]} ${className}`} {...rest}>
      {icon}
      {children}
    </Link>
  );
}
