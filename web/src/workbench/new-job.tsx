import {
  type Frame,
  inches,
  jobFileOf,
  type LengthUnit,
  newJob,
  STOCK_SECTIONS,
  USUAL_SECTION,
  writeJobFile,
} from '@splay/core';
import { Plus } from 'lucide-react';
import { type SubmitEvent, useState } from 'react';
import { importJob } from '../client/import-job.ts';
import { useAwake } from '../client/use-awake.ts';
import { Choice } from '../ui/choice.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { FromLibrary } from '../ui/library-tools.tsx';
import { LengthField } from '../ui/length-field.tsx';

const MEASURES = [
  ['wheelbase', 'Wheelbase'],
  ['outsideWidth', 'Width over the rails'],
  ['ahead', 'Frame ahead of the front axle'],
  ['behind', 'Frame behind the rear axle'],
  ['tireRadius', 'Tire radius, loaded'],
] as const;

/** Where the cab stands; asked for unless there is none. */
const CAB_MEASURES = [
  ['cabBack', 'Back of cab'],
  ['cabFront', 'Front cab mount'],
  ['cabRear', 'Rear cab mount'],
] as const;

type Measure = (typeof MEASURES)[number][0] | (typeof CAB_MEASURES)[number][0];

/** What a light truck measures about: to be typed over with the tape in the other hand. */
const ABOUT: Readonly<Record<Measure, number>> = {
  wheelbase: inches(130),
  outsideWidth: inches(34),
  ahead: inches(32),
  behind: inches(48),
  tireRadius: inches(15),
  cabBack: inches(56),
  cabFront: inches(-12),
  cabRear: inches(50),
};

/** How far a cab mount reaches along the rail to each side of its middle, mm. */
const MOUNT_REACH = inches(2);

/** What is not right about where a cab stands, as a sentence; empty where nothing is. */
const cabProblem = ({ cabFront, cabRear, ahead, wheelbase, behind }: Readonly<Record<Measure, number>>): string =>
  cabFront >= cabRear
    ? 'The rear cab mount must be behind the front one.'
    : cabFront < MOUNT_REACH - ahead || cabRear > wheelbase + behind - MOUNT_REACH
      ? 'A cab mount is not on the frame: check its station and the frame’s ends.'
      : '';

/** Begins a job with the first measures of a donor. */
export function NewJob() {
  const awake = useAwake();
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="button button-dark" disabled={!awake} onClick={() => setOpen(true)}>
        <Plus size={15} aria-hidden="true" />
        New job
      </button>
      {open && (
        <Dialog title="A new job" onClose={() => setOpen(false)}>
          <NewJobForm />
        </Dialog>
      )}
    </>
  );
}

function NewJobForm() {
  const [name, setName] = useState('');
  const [donor, setDonor] = useState('');
  const [unit, setUnit] = useState<LengthUnit>('in');
  const [typed, setMeasures] = useState(ABOUT);
  const [section, setSection] = useState(USUAL_SECTION);
  const [hasCab, setHasCab] = useState(true);
  const [touched, setTouched] = useState<ReadonlySet<Measure>>(new Set());
  const [kept, setKept] = useState<Frame | null>(null);
  const [problem, setProblem] = useState('');
  const [sending, setSending] = useState(false);
  const display = { unit, division: 16 } as const;
  // A mount that nobody has typed yet stands on the frame, wherever that ends.
  const measures = touched.has('cabFront')
    ? typed
    : { ...typed, cabFront: Math.max(typed.cabFront, MOUNT_REACH - typed.ahead) };
  const begin = async (event: SubmitEvent<HTMLFormElement>) => {
    event.preventDefault();
    if (event.currentTarget.querySelector('[aria-invalid=true]')) return setProblem('Fix the marked fields first.');
    const stock = STOCK_SECTIONS[section];
    if (name.trim() === '' || donor.trim() === '' || !stock)
      return setProblem('Name the job and the donor, so that you find them again.');
    const wrong = hasCab && !kept ? cabProblem(measures) : '';
    if (wrong) return setProblem(wrong);
    const { cabBack, cabFront, cabRear, ...first } = measures;
    const cab = hasCab
      ? {
          back: cabBack,
          mounts: [cabFront, cabRear] as const,
          assumed: CAB_MEASURES.some(([key]) => !touched.has(key)),
        }
      : null;
    setSending(true);
    const begun = newJob({ name: name.trim(), donor: donor.trim(), display, ...first, cab, section: stock.section });
    const job = kept ? { ...begun, donor: { ...kept, name: donor.trim() } } : begun;
    const answer = await importJob(writeJobFile(jobFileOf(job, [])));
    if (answer.ok) return location.assign(`/jobs/${answer.value.id}/donor`);
    setSending(false);
    setProblem(answer.problems[0]?.message ?? answer.detail);
  };
  const put = (key: Measure, mm: number) => {
    setMeasures((old) => ({ ...old, [key]: mm }));
    setTouched((old) => new Set(old).add(key));
  };
  const text = (label: string, value: string, set: (text: string) => void, example: string) => (
    <label className="block text-sm text-pencil">
      {label}
      <input
        className="field mt-1 h-9 text-graphite"
        value={value}
        placeholder={example}
        maxLength={120}
        onChange={(event) => set(event.target.value)}
      />
    </label>
  );
  return (
    <form className="space-y-3" onSubmit={(event) => void begin(event)}>
      <a href="/quick" className="block border-2 border-layout px-3 py-2 hover:bg-layout-wash">
        <b className="heading text-lg text-layout">I have … I want …</b>{' '}
        <span className="text-sm text-pencil">
          Only a few figures yet? Get the cut in outline first, then make it a job.
        </span>
      </a>
      <div className="grid gap-3 sm:grid-cols-2">
        {text('Job', name, setName, 'Bakery van on the old chassis')}
        {text('Donor', donor, setDonor, 'what stands on the stands')}
        <Choice
          label="Lengths in"
          value={unit}
          disabled={false}
          choices={[
            ['in', 'inches'],
            ['mm', 'millimeters'],
          ]}
          onChange={setUnit}
        />
        <Choice
          list
          label="Rail size (closest stock size)"
          value={String(section)}
          disabled={false}
          choices={STOCK_SECTIONS.map((stock, index) => [String(index), stock.name] as const)}
          onChange={(index) => setSection(Number(index))}
        />
        {MEASURES.filter(() => kept === null).map(([key, label]) => (
          <LengthField
            key={key}
            label={label}
            mm={measures[key]}
            format={display}
            check={(mm) =>
              mm > 0 || (mm === 0 && (key === 'ahead' || key === 'behind')) ? null : `${label} must be more than 0.`
            }
            onChange={(mm) => put(key, mm)}
          />
        ))}
      </div>
      <FromLibrary
        kind="donor"
        label="Or a donor from the library"
        onPick={(item) => {
          if (item.kind !== 'donor') return;
          setKept({ ...item.item, ...(item.from === '' ? {} : { copiedFrom: item.from }) });
          setDonor(item.item.name);
        }}
      />
      {kept && (
        <p role="status" className="border-l-4 border-layout bg-layout-wash px-3 py-1.5 text-sm">
          The donor is a copy of {kept.name} with everything that was measured on it: measure again what may differ.{' '}
          <button type="button" className="underline underline-offset-2" onClick={() => setKept(null)}>
            Type its measures instead
          </button>
        </p>
      )}
      <fieldset className="border-t border-rule pt-2" hidden={kept !== null}>
        <legend className="sr-only">The cab</legend>
        <label className="flex min-h-9 items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="h-4 w-4"
            checked={hasCab}
            onChange={(event) => setHasCab(event.target.checked)}
          />
          A cab stands on it, behind the front axle by (− ahead of it)
        </label>
        {hasCab && (
          <div className="mt-1 grid gap-3 sm:grid-cols-3">
            {CAB_MEASURES.map(([key, label]) => (
              <LengthField
                key={key}
                label={label}
                mm={measures[key]}
                format={display}
                onChange={(mm) => put(key, mm)}
              />
            ))}
          </div>
        )}
      </fieldset>
      <p className="text-sm text-pencil">
        Enough to draw it, straight and level; what you leave as it stands here counts as assumed. The Donor bench asks
        for the rest.
      </p>
      {problem && (
        <p role="alert" className="border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          {problem}
        </p>
      )}
      <button type="submit" className="button button-dark" disabled={sending}>
        Begin
      </button>
    </form>
  );
}
