import type { ReactNode } from 'react';

/** A part of the slip: its name over a rule. */
export function Section({
  title,
  aside,
  children,
}: {
  title: string;
  aside?: ReactNode;
  children: ReactNode;
}): ReactNode {
  return (
    <section aria-label={title} className="px-4 pt-4">
      <div className="flex items-baseline justify-between border-b-2 border-ink pb-1">
        <h2 className="heading">{title}</h2>
        {aside}
      </div>
      <div className="space-y-3 pt-3">{children}</div>
    </section>
  );
}
