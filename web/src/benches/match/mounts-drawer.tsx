import { contextOf, isMet, quantityText } from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { Length } from '../../ui/length.tsx';
import { isBad, WAY_WORDS } from './mount-words.ts';
import { selectedSeat } from './selected-seat.ts';

const HEADS = ['Mount', 'Side', 'From the datum', 'Gap up', 'Beside the rail', 'Becomes', 'Carries', 'Donor bracket'];

/** Every mount of the body at hand with its gap to the rail, what it becomes and what it carries. */
export function MountGapsDrawer(bench: BenchProps) {
  const { job, result, onLook } = bench;
  const seat = selectedSeat(result, bench);
  const { show } = useMemo(() => contextOf(job), [job]);
  if (!seat || seat.mounts.length === 0)
    return <p className="text-pencil">No mount is measured yet: they are entered on the bench Body.</p>;
  const format = job.display;
  return (
    <>
      <h3 className="heading text-lg">Mounts of {seat.body.name} over the frame as planned</h3>
      <p className="mb-2 max-w-3xl text-sm text-pencil">
        Gap straight up from the top of the rail to the underside of the mount’s own bracket; beside the rail: outward
        of its outside face above 0, inward of the flange below 0. What each carries is as entered, or calculated with
        all mounts equally soft and the body rigid: levers, no approval.
      </p>
      <table className="figures-table w-full text-sm">
        <caption className="sr-only">Mounts of {seat.body.name}</caption>
        <thead className="text-left text-pencil">
          <tr className="border-b border-graphite">
            {HEADS.map((head) => (
              <th key={head} scope="col" className="py-1 pr-3 font-normal">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {seat.mounts.map(({ mount, side, at, up, sideways, way, load, serves }) => (
            <tr key={mount.id} className="border-b border-rule align-baseline">
              <th scope="row" className="py-1.5 pr-3 text-left font-semibold">
                <button type="button" className="text-left hover:underline" onClick={() => onLook(at.x)}>
                  {mount.name}
                </button>
              </th>
              <td className="pr-3">{side}</td>
              <td className="figures pr-3">
                <Length mm={at.x - result.datum.built} format={format} />
              </td>
              <td className="figures pr-3 font-semibold">
                {up === null ? '–' : <Length mm={up} format={format} signed />}
              </td>
              <td className="figures pr-3">
                {sideways === 0 ? 'over it' : <Length mm={sideways} format={format} signed />}
              </td>
              <td className={`pr-3 ${isBad(way) ? 'text-oxide' : ''}`}>{WAY_WORDS[way]}</td>
              <td className="figures pr-3">
                {load === null ? 'not known' : quantityText('mass', load, format.unit)}
                {load !== null && load < 0 && ' (pulled)'}
              </td>
              <td className="pr-3">
                {serves
                  ? isMet(serves.ahead)
                    ? serves.name
                    : `${serves.name}, ${show(Math.abs(serves.ahead))} ${serves.ahead > 0 ? 'ahead of it' : 'behind it'}`
                  : '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
