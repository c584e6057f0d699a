import type { MarkSheet } from '@splay/core';
import { OctagonX } from 'lucide-react';
import { assumedWords } from '../shared/sheet-words.ts';

/** Whether a sheet may be cut by: a stop looks like a stop on it, and what was accepted stays in sight. */
export function ReleaseNotice({ sheet }: { readonly sheet: Pick<MarkSheet, 'stops' | 'accepted' | 'assumed'> }) {
  return (
    <>
      {sheet.stops.length > 0 && (
        <section role="alert" className="border-2 border-oxide bg-oxide-wash px-3 py-2">
          <h3 className="heading flex items-center gap-2 text-xl text-oxide">
            <OctagonX size={19} strokeWidth={2.4} aria-hidden="true" />
            NOT RELEASED
          </h3>
          <ul className="mt-0.5">
            {sheet.stops.map((stop) => (
              <li key={stop}>{stop}</li>
            ))}
          </ul>
        </section>
      )}
      {sheet.accepted.length > 0 && (
        <ul className="border-l-4 border-ochre bg-ochre-wash px-3 py-1.5 text-sm">
          {sheet.accepted.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      {sheet.assumed.length > 0 && (
        <p className="border-l-4 border-dashed border-pencil px-3 py-1.5 text-sm">{assumedWords(sheet.assumed)}</p>
      )}
    </>
  );
}
