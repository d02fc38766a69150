import { Download } from 'lucide-react';

/** A file of the server, saved rather than opened. */
export function DownloadLink({ href, children }: { href: string; children: string }) {
  return (
    <a
      href={href}
      download
      className="border-strong-line bg-raised hover:bg-sheet inline-flex min-h-10 items-center gap-2 rounded-sm border px-4 py-1.5 font-semibold"
    >
      <Download aria-hidden className="size-5" />
      {children}
    </a>
  );
}
