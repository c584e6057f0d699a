import { markSheet, SIDES } from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { useCautions } from '../../client/use-cautions.ts';
import { CautionList } from '../../ui/caution-list.tsx';
import { Length } from '../../ui/length.tsx';
import { KERF_WORDS, lineName } from '../../ui/marks-tables.tsx';

/** The marks at the frame: one card a line, the figure large enough to read at arm's length. */
export function FloorMarks(props: BenchProps) {
  const { job, result } = props;
  const cautions = useCautions(props, 'cutting');
  const sheet = useMemo(() => markSheet(job, result), [job, result]);
  const length = (mm: number) => <Length mm={mm} format={job.display} />;
  if (sheet.lines.length === 0 && sheet.punches.length === 0)
    return <p className="p-4 text-pencil">Nothing to mark yet: the plan cuts nothing.</p>;
  return (
    <div className="space-y-4 p-3">
      <CautionList {...cautions} />
      {SIDES.map((side) => (
        <section key={side}>
          <h2 className="heading mb-1 text-xl">
            {side === 'left' ? 'Left rail' : 'Right rail'}, from the {sheet.datum.toLowerCase()}
          </h2>
          <ul className="space-y-2">
            {sheet.lines
              .filter((line) => line.side === side)
              .map((line, index) => (
                <li key={index} className="border-2 border-graphite bg-sheet p-3">
                  <p className="flex items-baseline justify-between gap-3">
                    <span>
                      <b className="heading text-2xl text-layout">{line.letters.replace(' ', '·')}</b> {lineName(line)}
                    </span>
                    <span className="heading text-4xl">{length(line.from.top)}</span>
                  </p>
                  <p className="mt-1 flex justify-between text-sm text-pencil">
                    <span>blade {KERF_WORDS[line.kerf]}</span>
                    {line.lean === 0 ? (
                      <span>square, on the top edge</span>
                    ) : (
                      <span>
                        top edge; bottom edge <b className="text-graphite">{length(line.from.bottom)}</b>
                      </span>
                    )}
                  </p>
                </li>
              ))}
            {sheet.punches
              .filter((punch) => punch.side === side)
              .map((punch) => (
                <li key={`${punch.name}${punch.from.web}`} className="border-2 border-graphite bg-sheet p-3">
                  <p className="flex items-baseline justify-between gap-3">
                    <span>⊕ {punch.name}</span>
                    <span className="heading text-4xl">{length(punch.from.web)}</span>
                  </p>
                  <p className="mt-1 text-sm text-pencil">
                    centre-punch on the web, <b className="text-graphite">{length(punch.down)}</b> below the top; drill{' '}
                    <b className="text-graphite">{length(punch.diameter)}</b>
                  </p>
                </li>
              ))}
          </ul>
        </section>
      ))}
      {sheet.newPieces.length > 0 && (
        <section>
          <h2 className="heading mb-1 text-xl">New rail to cut</h2>
          <ul className="space-y-2">
            {sheet.newPieces.map((piece) => (
              <li key={piece.letters + piece.side} className="border-2 border-graphite bg-sheet p-3">
                <p className="flex items-baseline justify-between gap-3">
                  <span>
                    <b className="heading text-2xl text-layout">{piece.letters.replace(' ', '·')}</b> {piece.side}
                  </span>
                  <span className="heading text-4xl">{length(piece.length + piece.kerf)}</span>
                </p>
                {piece.kerf > 0 && (
                  <p className="mt-1 text-sm text-pencil">
                    {length(piece.length)} as planned, and {length(piece.kerf)} of kerf made good
                  </p>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
      <section>
        <h2 className="heading mb-1 text-xl">Check before cutting</h2>
        <ul>
          {sheet.checks.map((check) => (
            <li key={check.name} className="flex min-h-10 items-center justify-between gap-3 border-b border-rule">
              <span>
                <span className="text-pencil">{check.kind}</span> {check.name}
              </span>
              <b className="text-lg">{length(check.distance)}</b>
            </li>
          ))}
        </ul>
      </section>
      <p className="text-sm text-pencil">Marks left and right must agree before any cut. Not an approval.</p>
    </div>
  );
}
