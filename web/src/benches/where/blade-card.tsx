import { datumStation, type FinderGoal, hoursText, type Job, placeText, contextOf } from '@splay/core';
import { useMemo } from 'react';
import { judgeAt } from '../../client/finding.ts';
import { Length } from '../../ui/length.tsx';
import { Verdict } from '../../ui/verdict.tsx';

interface BladeCardProps {
  readonly job: Job;
  readonly goal: FinderGoal;
  /** Donor station of the blade, mm, and where that is in the tray, px. */
  readonly x: number;
  readonly left: number;
  readonly width: number;
}

/** Width of the card, px. */
const CARD = 236;

/** What the blade says of the place it stands at: the evaluation of a plan with just that cut. */
export function BladeCard({ left, width, ...at }: BladeCardProps) {
  const beside = left + 10 + CARD > width ? left - 10 - CARD : left + 10;
  return (
    <div
      className="pointer-events-none absolute top-9 border border-graphite bg-paper px-2.5 py-1.5 text-[0.92rem] shadow"
      style={{ left: Math.max(4, beside), width: CARD }}
    >
      <PlaceSays {...at} most={1} />
    </div>
  );
}

interface SaysProps extends Pick<BladeCardProps, 'job' | 'goal' | 'x'> {
  /** So many reasons are said. */
  readonly most: number;
}

/** Station, how far the ends lie apart, and the reasons, the gravest first. */
export function PlaceSays({ job, goal, x, most }: SaysProps) {
  const judged = useMemo(() => judgeAt(job, goal, x), [job, goal, x]);
  const { show } = useMemo(() => contextOf(job), [job]);
  const { refusals, ends, costs, hours } = judged;
  const refused = refusals.length > 0;
  const worst = ends.toSorted((a, b) => Math.max(b.left, b.right) - Math.max(a.left, a.right))[0];
  const reasons = refused ? refusals : costs.filter(({ code, hours: each }) => code !== 'joints' && each >= 0.2);
  return (
    <>
      <p className="flex items-baseline justify-between gap-2">
        <b className="text-lg">
          <Length mm={x - datumStation(job.donor)} format={job.display} />
        </b>
        <b className={refused ? 'text-oxide' : ''}>{refused ? 'not here' : hoursText(hours)}</b>
      </p>
      <p className="text-sm text-pencil">{placeText(job.donor, x, show)}</p>
      {worst && (
        <p className="text-sm">
          ends apart: left <Length mm={worst.left} format={job.display} />, right{' '}
          <Length mm={worst.right} format={job.display} />
        </p>
      )}
      <ul className="mt-1 space-y-0.5 text-sm">
        {reasons.slice(0, most).map(({ code, about, says }) => (
          <li key={`${code}${about}${says}`}>
            <Verdict kind={refused ? 'stop' : 'note'}>{says.charAt(0).toUpperCase() + says.slice(1)}</Verdict>
          </li>
        ))}
      </ul>
      {reasons.length > most && <p className="text-sm text-pencil">and {reasons.length - most} more</p>}
    </>
  );
}
