import {
  datumStation,
  dotted,
  edgeText,
  type Shore,
  SHORE_FACTS,
  type ShoringStep,
  withNeutralStands,
} from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { freshId } from '../../client/fresh-id.ts';
import { useJobState } from '../../client/job-store.ts';
import { useCautions } from '../../client/use-cautions.ts';
import { CautionList } from '../../ui/caution-list.tsx';
import { Length } from '../../ui/length.tsx';
import { MaybeLength } from '../../ui/maybe-length.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { Quantity } from '../../ui/quantity.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { type Selection, hold, lookAt, useSelection } from './selection.ts';
import { ShoreFields } from './shore-fields.tsx';
import { BeginAt } from '../../ui/begin-at.tsx';

/** The sheet of the stands as a PDF; its moments are of the clock here. */
const sheetAddress = (job: string, paper: 'a4' | 'letter'): string =>
  `/api/jobs/${job}/stands.pdf?${new URLSearchParams({ paper, zone: Intl.DateTimeFormat().resolvedOptions().timeZone }).toString()}`;

/** The cuts of the plan, whether every part stands, and the shore at hand. */
export function StandsPanel(bench: BenchProps) {
  const { store, job, canWrite } = bench;
  const { id, saveState } = useJobState(store, (state) => ({ id: state.id, saveState: state.saveState }));
  const hand = useSelection(bench);
  const cautions = useCautions(bench, 'cutting');
  const { step, steps } = hand;
  if (!step)
    return (
      <BeginAt store={store} bench="cuts" go="Plan the cuts">
        Nothing is cut through yet: plan the cuts, and what holds each part is decided here.
      </BeginAt>
    );
  const { level } = job.plan.shoring;
  // A thing that is off at several cuts is one thing.
  const off = new Set(job.plan.shoring.off.map(({ id }) => id)).size;
  return (
    <div className="space-y-3">
      <ul className="flex flex-wrap gap-1" aria-label="Cuts">
        {steps.map((each) => (
          <li key={each.operation.id}>
            <StepChip step={each} at={each === step} onPick={() => lookAt(store, each.operation.id, hand.moment)} />
          </li>
        ))}
      </ul>
      <Findings {...bench} hand={hand} step={step} />
      <section>
        <PanelHeading aside={<span>weight, and inside its stands</span>}>{step.name}</PanelHeading>
        <ul>
          {step.loose.map((part) => (
            <li key={part.name} className="border-b border-rule/60 py-1">
              <div className="flex items-baseline justify-between gap-2">
                <span className="min-w-0">{part.name}</span>
                <span className="text-right whitespace-nowrap">
                  <Quantity of="mass" value={part.mass} unit={job.display.unit} />
                  {part.stability.margins && !part.removed && (
                    <span className="block text-sm text-pencil">
                      <Length
                        mm={Math.min(part.stability.margins.front, part.stability.margins.rear)}
                        format={job.display}
                      />{' '}
                      along,{' '}
                      <Length
                        mm={Math.min(part.stability.margins.left, part.stability.margins.right)}
                        format={job.display}
                      />{' '}
                      across
                    </span>
                  )}
                </span>
              </div>
              {part.edge && !part.removed && (
                <p className="text-sm text-pencil">
                  {part.stability.state === 'tips' ? 'Goes over ' : 'Would go first over '}
                  {edgeText(part, datumStation(job.donor), job)}.
                </p>
              )}
            </li>
          ))}
        </ul>
        <button
          type="button"
          className="mt-1 min-h-8 text-sm text-layout underline underline-offset-2"
          onClick={() => store.setState({ drawer: 'weights' })}
        >
          {off === 0
            ? 'Everything is on the frame: say what is off'
            : `${off === 1 ? '1 thing is' : `${off} things are`} removed`}
        </button>
      </section>
      {hand.shore ? (
        <ShoreFields bench={bench} shore={hand.shore} steps={steps} />
      ) : (
        <p className="text-sm text-pencil">Pick a stand on the board to set it, or drag it along the tape.</p>
      )}
      <MaybeLength
        label="Datum plane over the floor"
        mm={level ?? undefined}
        format={job.display}
        disabled={!canWrite}
        onChange={(mm) => {
          if (mm !== undefined && mm <= 0) return 'The datum plane is above the floor: type a height above 0.';
          hold(store, 'Set the height of the datum plane', (old) => ({ ...old, level: mm ?? null }));
          return '';
        }}
      />
      <div className="grid grid-cols-2 gap-1.5">
        <a className="button px-1" href={sheetAddress(id, 'a4')}>
          Shore sheet A4
        </a>
        <a className="button px-1" href={sheetAddress(id, 'letter')}>
          Letter
        </a>
      </div>
      {saveState !== 'saved' && (
        <p role="status" className="border-l-4 border-ochre bg-ochre-wash px-3 py-1.5 text-sm">
          The last change is not saved yet: the sheet shows the saved plan.
        </p>
      )}
      <CautionList {...cautions} />
    </div>
  );
}

interface ChipProps {
  readonly step: ShoringStep;
  readonly at: boolean;
  readonly onPick: () => void;
}

const stands = ({ loose }: ShoringStep): boolean =>
  loose.every(({ removed, stability }) => removed || stability.state === 'stays');

function StepChip({ step, at, onPick }: ChipProps) {
  const good = stands(step);
  return (
    <button
      type="button"
      aria-pressed={at}
      aria-label={`Cut ${step.letters.join(' and ')}, ${step.name}: ${good ? 'every part stands' : 'not every part stands'}`}
      className={`heading min-h-9 min-w-12 px-2 text-lg ${good ? '' : 'text-oxide'} ${at ? 'border-2 border-layout bg-layout-wash' : 'border border-graphite bg-sheet'}`}
      onClick={onPick}
    >
      {step.letters.length > 0 ? dotted(step.letters) : step.name}
      {!good && <span aria-hidden="true">!</span>}
    </button>
  );
}

function Findings({
  store,
  job,
  canWrite,
  hand,
  step,
}: BenchProps & { readonly hand: Selection; readonly step: ShoringStep }) {
  const { findings } = hand;
  const placed = job.plan.shoring.shores.length > 0;
  const letters = step.letters.length > 0 ? `cut ${dotted(step.letters)}` : step.name.toLowerCase();
  const proposed = () => withNeutralStands(job, step.operation.id, () => freshId('shore'));
  const onPlace = () => {
    const next = proposed();
    if (next) hold(store, `Placed stands for ${letters}`, () => next);
  };
  return (
    <>
      {!placed && (
        <p>
          No stands yet. Splay puts two pairs under each part, clear of the cut and of what hangs below, and says what
          each must carry.
        </p>
      )}
      {placed && (
        <ul className="space-y-1.5" aria-label="What must be known">
          {findings.every(({ severity }) => severity === 'note') && (
            <li>
              <Verdict kind="good">Every part stands once {letters} is through.</Verdict>
            </li>
          )}
          {findings.map(({ code, about, severity, message, remedy }) => (
            <li key={`${code}/${about}`}>
              <Verdict kind={severity}>
                <b className="font-semibold">{message}</b> {remedy}
              </Verdict>
            </li>
          ))}
        </ul>
      )}
      {canWrite && (
        <div className="flex flex-wrap gap-1.5">
          <button type="button" className={`button ${placed ? '' : 'button-dark'}`} onClick={onPlace}>
            {placed ? `Replace stands for ${letters}` : `Place stands for ${letters}`}
          </button>
          <button
            type="button"
            className="button"
            onClick={() => {
              const shore = newShore(step, job.plan.shoring.shores);
              hold(store, 'Added a stand', (old) => ({ ...old, shores: [...old.shores, shore] }));
              store.setState({ selected: shore.id });
            }}
          >
            Add one
          </button>
        </div>
      )}
      {step.spanning.map(({ unit, name, holds }) => (
        <label key={unit} className="flex items-start gap-2 text-sm">
          <input
            type="checkbox"
            className="mt-0.5 h-5 w-5 shrink-0 accent-layout"
            checked={holds}
            disabled={!canWrite}
            onChange={(event) =>
              hold(store, `${event.target.checked ? 'Counted' : 'No longer counted'} on ${name}`, (old) => ({
                ...old,
                holding: event.target.checked ? [...old.holding, unit] : old.holding.filter((each) => each !== unit),
              }))
            }
          />
          {name} stays bolted to both sides, and is counted on to hold them
        </label>
      ))}
    </>
  );
}

/** A pair of stands for a cut, where the frame has none near yet. */
function newShore(step: ShoringStep, shores: readonly Shore[]): Shore {
  const spots = step.loose.filter(({ removed }) => !removed).map(({ center }) => center.x);
  const bare = spots.toSorted((a, b) => near(b, shores) - near(a, shores))[0] ?? step.whole.center.x;
  const moved = step.cuts.find(({ donorX }) => donorX !== null);
  const x = Math.round((bare - (moved?.donorX == null ? 0 : moved.x - moved.donorX)) / 25.4) * 25.4;
  return {
    id: freshId('shore'),
    kind: 'stand',
    side: 'both',
    x,
    to: x,
    rise: 0,
    shim: 0,
    floor: 0,
    step: step.operation.id,
    note: '',
  };
}

const near = (x: number, shores: readonly Shore[]): number =>
  Math.min(
    Infinity,
    ...shores.filter(({ kind }) => SHORE_FACTS[kind].does === 'up').map((shore) => Math.abs(shore.x - x)),
  );
