import {
  evaluatePlan,
  jobFileOf,
  QUICK_FIELD_IDS,
  QUICK_FIELDS,
  QUICK_GOALS,
  type QuickAnswer,
  type QuickEntries,
  quickJob,
  type QuickProblem,
  STOCK_SECTIONS,
  USUAL_SECTION,
  writeJobFile,
} from '@splay/core';
import { Hammer, Printer } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { importJob } from '../../client/import-job.ts';
import { SHEET_FOOT } from '../../shared/sheet-words.ts';
import { Length } from '../../ui/length.tsx';
import { QuickForm } from './quick-form.tsx';
import { QuickPicture } from './quick-picture.tsx';
import { MeasureFirst, QuickFigures, QuickHeadline, QuickPlace } from './quick-sheet.tsx';
import { useQuickAnswer } from './use-quick-answer.ts';

const NOTHING: QuickEntries = {
  display: { unit: 'in', division: 16 },
  goal: 'wheelbase',
  wanted: null,
  section: (STOCK_SECTIONS[USUAL_SECTION] as (typeof STOCK_SECTIONS)[number]).section,
  ...(Object.fromEntries(QUICK_FIELD_IDS.map((id) => [id, null])) as Record<(typeof QUICK_FIELD_IDS)[number], null>),
};

/** Entries survive a reload of this tab, and are nobody else's. */
const KEY = 'splay-quick-start';

function kept(): QuickEntries {
  try {
    const text = sessionStorage.getItem(KEY);
    return text ? { ...NOTHING, ...(JSON.parse(text) as Partial<QuickEntries>) } : NOTHING;
  } catch {
    return NOTHING;
  }
}

/** *I have … I want …*: a dozen figures in, the outline of the job out. */
export function QuickStart({ canWrite, shop }: { readonly canWrite: boolean; readonly shop: string }) {
  const [entries, setEntries] = useState(kept);
  useEffect(() => sessionStorage.setItem(KEY, JSON.stringify(entries)), [entries]);
  const state = useQuickAnswer(entries);
  const answer = state.kind === 'answer' ? state.answer : state.kind === 'computing' ? state.last : null;
  const problems = state.kind === 'entries' ? state.problems : [];
  return (
    <div className="grid gap-6 lg:grid-cols-[23rem_1fr] print:block">
      <div className="print:hidden">
        <div className="mb-1 flex items-center justify-between gap-3">
          <h1 className="heading text-2xl">Quick start</h1>
          <button type="button" className="text-sm underline underline-offset-2" onClick={() => setEntries(NOTHING)}>
            Clear all entries
          </button>
        </div>
        <QuickForm entries={entries} problems={problems} onChange={setEntries} />
      </div>
      <section aria-label="Answer" aria-busy={state.kind === 'computing'} className="min-w-0">
        {state.kind === 'failed' && (
          <p role="alert" className="border-l-4 border-oxide bg-oxide-wash px-3 py-2">
            {state.message} Change an entry to compute it again.
          </p>
        )}
        {!answer && state.kind === 'computing' && <p role="status">Calculating…</p>}
        {!answer && state.kind === 'entries' && <StillMissing entries={entries} problems={problems} />}
        {answer && (
          <Sheet answer={answer} entries={entries} canWrite={canWrite} shop={shop} isOld={state.kind === 'computing'} />
        )}
      </section>
    </div>
  );
}

/** What is left to enter, before there is anything to show. */
function StillMissing({
  entries,
  problems,
}: {
  readonly entries: QuickEntries;
  readonly problems: readonly QuickProblem[];
}) {
  const begun = entries.wanted !== null || QUICK_FIELD_IDS.some((id) => entries[id] !== null);
  return (
    <div className="border-2 border-dashed border-rule p-6">
      <p className="heading text-2xl">How much, where, and what else changes</p>
      <p className="mt-2 max-w-prose">
        Enter what you have and what you want. The answer is here as soon as these are in; a field that says “not
        measured” may stay empty.
      </p>
      {begun && (
        <ul className="mt-3 list-disc space-y-0.5 pl-5" aria-label="Still to enter">
          {problems.map(({ field, message }) => (
            <li key={`${field}-${message}`}>{message}</li>
          ))}
        </ul>
      )}
    </div>
  );
}

interface SheetProps {
  readonly answer: QuickAnswer;
  readonly entries: QuickEntries;
  readonly canWrite: boolean;
  readonly shop: string;
  /** It answers the entries before the last change. */
  readonly isOld: boolean;
}

/** The answer on one screen, and on one page. */
function Sheet({ answer, entries, canWrite, shop, isOld }: SheetProps) {
  // The frame as entered: nothing planned.
  const before = useMemo(
    () => evaluatePlan(quickJob(entries, { name: 'Quick start', donor: answer.job.donor.name })),
    [entries, answer.job.donor.name],
  );
  return (
    <div className={`space-y-3 print:[zoom:0.88] ${isOld ? 'opacity-50' : ''}`}>
      <p className="hidden border-b-2 border-graphite pb-1 print:block">
        <b className="heading text-2xl">Quick start</b> · {shop} ·{' '}
        {new Date().toLocaleDateString('en-US', { dateStyle: 'medium' })} ·{' '}
        {entries.display.unit === 'in' ? 'inches' : 'millimeters'}, stations from the front axle
      </p>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <QuickHeadline answer={answer} entries={entries} />
        <div className="flex flex-wrap items-start gap-2 print:hidden">
          {canWrite && <MakeJob answer={answer} />}
          <button type="button" className="button" onClick={() => print()}>
            <Printer size={15} aria-hidden="true" />
            Print
          </button>
        </div>
      </div>
      <QuickPlace answer={answer} entries={entries} />
      {!isOld && <QuickPicture before={before} answer={answer} />}
      <div className="grid gap-x-6 gap-y-4 xl:grid-cols-[1.2fr_1fr] print:block">
        <div>
          <QuickFigures answer={answer} entries={entries} />
        </div>
        <MeasureFirst answer={answer} />
      </div>
      <Entered entries={entries} />
      <p className="hidden border-t border-graphite pt-1 text-xs print:block">{SHEET_FOOT}</p>
    </div>
  );
}

/** What was entered: on paper only, where the form is not. */
function Entered({ entries }: { readonly entries: QuickEntries }) {
  const stock = STOCK_SECTIONS.find(({ section }) => JSON.stringify(section) === JSON.stringify(entries.section));
  return (
    <p className="hidden text-sm print:block">
      Entered: {stock ? stock.name : 'rail of its own size'}
      {entries.wanted !== null && (
        <>
          ; {QUICK_GOALS[entries.goal]} wanted <Length mm={entries.wanted} format={entries.display} />
        </>
      )}
      {QUICK_FIELD_IDS.flatMap((id) => {
        const mm = entries[id];
        return mm === null
          ? []
          : [
              <span key={id}>
                ; {QUICK_FIELDS[id].label} <Length mm={mm} format={entries.display} />
              </span>,
            ];
      })}
      .
    </p>
  );
}

/** Keeps the answer as a job of the shop. */
function MakeJob({ answer }: { readonly answer: QuickAnswer }) {
  const [name, setName] = useState('');
  const [problem, setProblem] = useState('');
  const [sending, setSending] = useState(false);
  const make = async () => {
    const called = name.trim();
    if (called === '') return setProblem('Name the job, so that you find it again.');
    setSending(true);
    const sent = await importJob(writeJobFile(jobFileOf({ ...answer.job, name: called }, [])));
    if (sent.ok) {
      sessionStorage.removeItem(KEY);
      return location.assign(`/jobs/${sent.value.id}/cuts`);
    }
    setSending(false);
    setProblem(sent.problems[0]?.message ?? sent.detail);
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void make();
      }}
    >
      <div className="flex flex-wrap gap-2 sm:flex-nowrap">
        <input
          className="field max-w-56"
          value={name}
          maxLength={120}
          aria-label="Name of the job"
          placeholder="Name of the job"
          onChange={(event) => setName(event.target.value)}
        />
        <button type="submit" className="button button-dark" disabled={sending}>
          <Hammer size={15} aria-hidden="true" />
          Make this a job
        </button>
      </div>
      {problem && (
        <p role="alert" className="mt-1 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          {problem}
        </p>
      )}
    </form>
  );
}
