import { angleText, isOpen, isPassed, type Job, type JobResult, type JointVerdict, worstJointOf } from '@splay/core';
import { memo, type ReactNode } from 'react';
import type { BenchId } from '../shared/phases.ts';
import { Length } from '../ui/length.tsx';

interface LedgerProps {
  readonly job: Job;
  readonly whole: JobResult;
  readonly onBench: (bench: BenchId) => void;
}

const VERDICT_WORDS: Readonly<Record<JointVerdict, string>> = {
  meets: 'meets',
  dress: 'dress',
  'ease-with-a-pie-cut': 'kinked',
  'needs-a-transition-piece': 'apart',
  cannot: 'cannot',
};

/** The figures that matter, before and after; each opens its bench. */
export const Ledger = memo(function Ledger({ job, whole, onBench }: LedgerProps) {
  const { plan: result, gates, worstReading: worst } = whole;
  const { before, after } = result.measures;
  const { display } = job;
  const length = (mm: number | null) => (mm === null ? '–' : <Length mm={mm} format={display} />);
  const was = (mm: number | null) => (mm === null ? '' : <>was {length(mm)}</>);
  const worstJoint = worstJointOf(result.joints);
  const shaft = result.driveLine.after?.worst ?? null;
  const gate = gates.find((candidate) => !isPassed(candidate));
  const missing = gate?.checks.find(isOpen);
  return (
    <ul
      aria-label="The figures that matter"
      className="pane grid shrink-0 auto-rows-[4.75rem] grid-cols-5 bg-night text-on-night lg:flex lg:h-[4.75rem]"
    >
      <Figure
        name="Wheelbase"
        value={length(after.wheelbase)}
        note={was(before.wheelbase)}
        onClick={() => onBench('cuts')}
      />
      <Figure
        name="Cab to axle"
        value={length(after.cabToAxle)}
        note={was(before.cabToAxle)}
        onClick={() => onBench('cuts')}
      />
      <Figure
        name="Axle to end"
        value={length(after.axleToEnd)}
        note={was(before.axleToEnd)}
        onClick={() => onBench('cuts')}
      />
      <Figure name="Width" value={length(after.widest)} note={was(before.widest)} onClick={() => onBench('cuts')} />
      <Figure
        name="Lowest"
        value={length(after.lowest?.clearance ?? null)}
        note={after.lowest?.what.split(',')[0] ?? ''}
        onClick={() => onBench('donor')}
      />
      <Figure
        name="Worst joint"
        value={worstJoint ? VERDICT_WORDS[worstJoint.verdict] : '–'}
        note={worstJoint ? `joint ${worstJoint.letter}` : 'no joint yet'}
        onClick={() => onBench('cuts')}
      />
      <Figure
        name="Shaft angle"
        value={shaft ? angleText(shaft.angle ?? 0) : '–'}
        note={shaft ? shaft.point.name : 'no drive line yet'}
        onClick={() => onBench('cuts')}
      />
      <Figure
        name="Worst reading"
        value={worst ? <Length mm={worst.off} format={display} signed /> : '–'}
        note={worst ? worst.control.name : 'none taken yet'}
        wide
        onClick={() => onBench('true-up')}
      />
      <Figure
        name="Next gate"
        value={gate ? gate.name : 'All passed'}
        note={missing?.name ?? 'read again after welding'}
        tone={gate ? 'bg-[#86301f]' : 'bg-[#2f5a2e]'}
        wide
        onClick={() => onBench(missing?.bench ?? 'true-up')}
      />
    </ul>
  );
});

interface FigureProps {
  readonly name: string;
  readonly value: ReactNode;
  readonly note: ReactNode;
  readonly tone?: string;
  readonly wide?: boolean;
  readonly onClick: () => void;
}

function Figure({ name, value, note, tone = '', wide = false, onClick }: FigureProps) {
  return (
    <li
      className={`min-w-0 border-r border-on-night/15 last:border-r-0 max-lg:border-b max-lg:last:col-span-2 ${wide ? 'flex-[1.45]' : 'flex-1'} ${tone}`}
    >
      <button
        type="button"
        className="hover:bg-white/10 flex h-full w-full flex-col px-2.5 py-1.5 text-left"
        onClick={onClick}
      >
        <span className="label block shrink-0 leading-[1.1] !text-on-night">{name}</span>
        <span
          data-figure={name}
          className="heading block shrink-0 truncate text-[1.35rem] leading-[1.12] [&_.nuance]:!text-on-night"
        >
          {value}
        </span>
        <span className="mt-px line-clamp-2 shrink-0 text-[0.79rem] leading-[1.1] text-on-night [&_.nuance]:!text-on-night">
          {note}
        </span>
      </button>
    </li>
  );
}
