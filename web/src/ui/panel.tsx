import type { ReactNode } from 'react';

/** A heading inside a panel, on a rule. */
export function PanelHeading({ children, aside }: { readonly children: ReactNode; readonly aside?: ReactNode }) {
  return (
    <h3 className="label mt-5 mb-1.5 flex items-baseline justify-between border-b border-rule pb-0.5 first:mt-0">
      <span>{children}</span>
      {aside}
    </h3>
  );
}
