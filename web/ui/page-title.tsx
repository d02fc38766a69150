import { useEffect, useRef, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useLocation } from 'react-router';
import { focusPage } from '../lib/page-focus';

/**
 * The name of a page: its one heading of the first rank, and the title of the window. After a step from another page the
 * focus is on it, so that a screen reader says where one is. Before it stands the way back to what the page belongs to.
 */
export function PageTitle({
  back,
  children,
  className = 'text-2xl',
}: {
  back?: { to: string; text: string };
  children: ReactNode;
  className?: string;
}) {
  const { t } = useTranslation();
  const { pathname } = useLocation();
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (heading.current) focusPage(heading.current, pathname);
  }, [pathname]);
  useEffect(() => {
    const name = heading.current?.textContent ?? '';
    document.title = name === '' ? t('app.name') : t('app.titleOf', { page: name });
  });
  // The heading is as large as what it stands in says.
  const title = (
    <h1 ref={heading} tabIndex={-1} className={back ? 'outline-none' : `outline-none ${className}`}>
      {children}
    </h1>
  );
  if (!back) return title;
  return (
    <div className={`flex flex-wrap items-baseline gap-x-2 ${className}`}>
      <Link to={back.to} className="text-quiet inline-flex items-center text-sm underline">
        {back.text}
      </Link>
      {title}
    </div>
  );
}
