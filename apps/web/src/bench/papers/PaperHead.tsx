import type { ReactNode } from 'react';

/** What the paper shows, over it; words at its left, what can be pressed at its right. */
export function PaperHead({
  title,
  aside,
  children,
}: {
  title: string;
  aside?: ReactNode;
  children?: ReactNode;
}): ReactNode {
  return (
    <div className="pointer-events-none absolute top-0 right-0 left-0 z-10 flex items-center justify-between gap-x-4 gap-y-1 max-[699px]:flex-wrap bg-paper/90 px-4 py-2">
      <div className="flex min-w-0 flex-wrap items-baseline gap-x-4 leading-tight">
        <h1 className="max-w-full shrink-0 truncate font-narrow text-xl font-bold">{title}</h1>
        {aside && <p className="max-w-full truncate text-small text-soft max-[1180px]:hidden">{aside}</p>}
      </div>
      <div className="pointer-events-auto flex items-center gap-2 whitespace-nowrap max-[699px]:flex-wrap">
        {children}
      </div>
    </div>
  );
}
