import { contextOf, type MountingOutcome } from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { Length } from '../../ui/length.tsx';
import { LAYER_WORDS } from './words.ts';

const HEADS = [
  'Turn',
  'Mount',
  'From the datum',
  'Bracket',
  'Over all',
  'Under it',
  'Over it',
  'Straightedge',
  'Hole',
  'Bolt, grip',
  'Of what is allowed',
];

/** Every mount in the order in which it is made: its bracket, its stack, the hole that is carried over, and its bolt. */
export function MountsDrawer({ job, result, onLook, onSelect }: BenchProps) {
  const { show } = useMemo(() => contextOf(job), [job]);
  if (result.mountings.length === 0)
    return <p className="p-4 text-pencil">No mount is measured yet: they are entered on the bench Body.</p>;
  const format = job.display;
  const bodies = [...new Set(result.mountings.map(({ body }) => body))];
  const stack = (layers: MountingOutcome['over']) =>
    layers.length === 0 ? '–' : layers.map((layer) => `${LAYER_WORDS[layer.kind]} ${show(layer.loaded)}`).join(', ');
  return (
    <div className="p-4">
      {bodies.map((body) => (
        <section key={body.id} aria-label={body.name} className="mb-5">
          <h3 className="heading text-lg">Mounts of {body.name}, in the order they are made</h3>
          <p className="mb-2 max-w-3xl text-sm text-pencil">
            Corners first: they set height and level. Lay a straightedge over their brackets and bring those between to
            it. Punch each hole through from the body’s bracket, measure the punch marks against each other, then drill:
            pilot, half, full size. Heights are with bushings squeezed at rest; bolts are not drawn tight in them.
          </p>
          <table className="figures-table w-full text-sm">
            <caption className="sr-only">Mounts of {body.name}</caption>
            <thead className="text-left text-pencil">
              <tr className="border-b border-graphite">
                {HEADS.map((head) => (
                  <th key={head} scope="col" className="py-1 pr-3 align-bottom font-normal">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {result.mountings
                .filter((outcome) => outcome.body === body)
                .toSorted((a, b) => a.turn.turn - b.turn.turn)
                .map((outcome) => {
                  const { seat, tag, name, height, under, over, offLine, bolt, grip, checks, turn, decided } = outcome;
                  const [worst] = checks;
                  return (
                    <tr key={seat.mount.id} className="border-b border-rule align-baseline">
                      <td className="figures pr-3" title={turn.why}>
                        {turn.turn}
                      </td>
                      <th scope="row" className="py-1.5 pr-3 text-left font-semibold">
                        <button
                          type="button"
                          className="text-left hover:underline"
                          onClick={() => {
                            onSelect(seat.mount.id);
                            onLook(seat.at.x);
                          }}
                        >
                          {tag} <span className="font-normal">{seat.mount.name}</span>
                        </button>
                        <span className="block text-xs font-normal text-pencil">{turn.why}</span>
                      </th>
                      <td className="figures pr-3">
                        <Length mm={seat.at.x - result.datum.built} format={format} />
                      </td>
                      <td className="pr-3">
                        {name}
                        {!decided && <span className="text-pencil"> (proposed)</span>}
                      </td>
                      <td className="figures pr-3 font-semibold">
                        {height === null ? '–' : <Length mm={height} format={format} />}
                      </td>
                      <td className="pr-3">{stack(under)}</td>
                      <td className="pr-3">{stack(over)}</td>
                      <td className="figures pr-3">
                        {offLine === null ? '–' : <Length mm={offLine} format={format} signed />}
                      </td>
                      <td className="figures pr-3">
                        {seat.mount.hole === undefined ? (
                          'not measured'
                        ) : seat.mount.hole === 0 ? (
                          'none'
                        ) : (
                          <Length mm={seat.mount.hole} format={format} />
                        )}
                      </td>
                      <td className="pr-3">{bolt ? `${bolt.name}${grip === null ? '' : `, ${show(grip)}`}` : '–'}</td>
                      <td className={`figures ${outcome.problems.length > 0 ? 'text-oxide' : ''}`}>
                        {outcome.problems.length > 0
                          ? 'cannot be so'
                          : worst
                            ? `${Math.ceil(worst.ratio * 100)} %, ${worst.what}`
                            : outcome.share === null
                              ? 'load not known'
                              : '–'}
                      </td>
                    </tr>
                  );
                })}
            </tbody>
          </table>
        </section>
      ))}
    </div>
  );
}
