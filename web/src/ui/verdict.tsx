import { Check, Info, OctagonX, TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';

const LOOKS = {
  good: { icon: Check, className: 'text-passed', word: 'Good' },
  note: { icon: Info, className: 'text-pencil', word: 'Note' },
  warn: { icon: TriangleAlert, className: 'text-ochre', word: 'Decide' },
  stop: { icon: OctagonX, className: 'text-oxide', word: 'Stop' },
} as const;

export type VerdictKind = keyof typeof LOOKS;

/** A judgment: its sign, said in words for those who do not see it, and its reason. */
export function Verdict({ kind, children }: { readonly kind: VerdictKind; readonly children: ReactNode }) {
  const { icon: Icon, className, word } = LOOKS[kind];
  return (
    <span className="flex items-start gap-2">
      <Icon size={16} strokeWidth={2.4} className={`mt-0.5 shrink-0 ${className}`} aria-hidden="true" />
      <span className="min-w-0">
        <span className="sr-only">{word}: </span>
        {children}
      </span>
    </span>
  );
}
