import { builtOf, type Job, lengthText, parseLength, type PlanResult } from '@splay/core';
import { type SubmitEvent, useState } from 'react';
import { Dialog } from '../ui/dialog.tsx';

interface GoToStationProps {
  readonly job: Job;
  readonly result: PlanResult;
  readonly onLook: (builtX: number) => void;
  readonly onClose: () => void;
}

/** Type a length from the datum hole, on the donor or on the built frame, and the board goes there. */
export function GoToStation({ job, result, onLook, onClose }: GoToStationProps) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const { donor: donorDatum, built: datum } = result.datum;
  const spans = result.tape.spans;
  const [front, rear] = [spans[0]?.builtFrom ?? 0, spans.at(-1)?.builtTo ?? 0];
  const show = (mm: number) => lengthText(mm - datum, job.display, true);

  const go = (event: SubmitEvent<HTMLFormElement>) => {
    event.preventDefault();
    const { submitter } = event.nativeEvent;
    const onDonor = submitter?.getAttribute('value') === 'donor';
    const read = parseLength(text, job.display.unit);
    if (!read.ok) return setProblem(read.problem.message);
    const built = onDonor ? builtOf(result.tape, read.value + donorDatum) : read.value + datum;
    if (built === null) return setProblem('This station is cut out, or not on the frame.');
    if (built < front || built > rear)
      return setProblem(`The frame runs from ${show(front)} to ${show(rear)} from the datum hole.`);
    onLook(built);
    onClose();
  };
  return (
    <Dialog title="Go to a station" onClose={onClose}>
      <form onSubmit={go}>
        <label className="block text-sm text-pencil">
          From the datum hole
          <input
            className="field mt-1 text-lg text-graphite"
            value={text}
            autoFocus
            autoComplete="off"
            aria-invalid={problem !== ''}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        {problem && (
          <p role="alert" className="mt-1 text-oxide">
            {problem}
          </p>
        )}
        <p className="mt-3 flex gap-2">
          <button type="submit" value="built" className="button button-dark">
            On the built frame
          </button>
          <button type="submit" value="donor" className="button">
            On the donor
          </button>
        </p>
      </form>
    </Dialog>
  );
}
