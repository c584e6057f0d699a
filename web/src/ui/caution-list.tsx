import type { Caution, CautionStep, ShopRecord } from '@splay/core';
import { TriangleAlert } from 'lucide-react';

/** What stands over the cautions of a step. */
const CAUTION_HEADS: Readonly<Record<CautionStep, string>> = {
  cutting: 'Before the saw',
  welding: 'Before the torch',
};

interface CautionListProps {
  readonly step: CautionStep;
  readonly cautions: readonly Caution[];
  readonly readOf: (caution: string) => ShopRecord<'caution-read'> | undefined;
  /** Marks one as read; not given where nothing may be changed. */
  readonly onRead?: (caution: string) => void;
}

/** The cautions of a step: always named, each with its reason one press away, and marked as read one by one. */
export function CautionList({ step, cautions, readOf, onRead }: CautionListProps) {
  const unread = cautions.filter(({ id }) => !readOf(id)).length;
  return (
    <details
      className={`group border-l-4 border-oxide px-3 py-1.5 text-sm ${unread > 0 ? 'bg-oxide-wash' : 'bg-sheet'}`}
    >
      <summary className="cursor-pointer list-none">
        <span className="flex items-baseline justify-between gap-3">
          <b className="heading flex items-center gap-1.5 text-base">
            <TriangleAlert size={15} className="shrink-0 text-oxide" aria-hidden="true" />
            {CAUTION_HEADS[step]}
          </b>
          <span className="whitespace-nowrap underline underline-offset-2">
            {unread === 0 ? 'all read' : `${unread} to read`}
          </span>
        </span>
        <span className="block leading-snug group-open:hidden">{cautions.map(({ title }) => title).join(' · ')}</span>
      </summary>
      <ul className="mt-1 divide-y divide-oxide/25">
        {cautions.map(({ id, title, detail, here }) => {
          const read = readOf(id);
          return (
            <li key={id} className="flex items-start justify-between gap-3 py-1.5">
              <p>
                <b className="block font-semibold">{title}</b>
                {here && <b className="font-semibold">{here} </b>}
                {detail}
              </p>
              {read ? (
                <span className="w-28 shrink-0 text-right text-pencil">
                  read by {read.by}, {read.taken.slice(0, 10)}
                </span>
              ) : (
                onRead && (
                  <button
                    type="button"
                    className="button min-h-12 shrink-0 px-2.5 md:min-h-8"
                    aria-label={`Mark as read: ${title}`}
                    onClick={() => onRead(id)}
                  >
                    Read it
                  </button>
                )
              )}
            </li>
          );
        })}
      </ul>
      <p className="mt-1 border-t border-oxide/25 pt-1 text-pencil">
        Local codes, the donor maker, a licensed engineer and a qualified welder decide.
      </p>
    </details>
  );
}
