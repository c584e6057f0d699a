import { type ControlPrediction, finer, type LengthFormat } from '@splay/core';
import type { ReactNode } from 'react';
import { Length } from '../../ui/length.tsx';

/** A reading that was taken just now, and which measurement comes next. */
export interface Taken {
  readonly control: ControlPrediction;
  readonly value: number;
  /** Which measurement it is, and which comes next. */
  readonly index: number;
  readonly next: number;
  readonly isRight: boolean;
}

/** What was taken and whether it is right, where the keypad was. */
export function TakenCard({
  taken: { control, value, isRight },
  judge,
  format,
  onNext,
  onAgain,
}: {
  readonly taken: Taken;
  readonly judge: (of: ControlPrediction, value: number) => ReactNode;
  readonly format: LengthFormat;
  readonly onNext: () => void;
  readonly onAgain: () => void;
}) {
  return (
    <section
      aria-label="Taken"
      className={`flex min-h-56 flex-col justify-between gap-3 border-4 bg-sheet p-3 ${isRight ? 'border-passed' : 'border-oxide'}`}
    >
      <div role="status">
        <p className="text-sm text-pencil">{control.name}</p>
        <p className="heading text-4xl">
          <Length mm={value} format={finer(format)} />
        </p>
        <div className="mt-2 text-lg">{judge(control, value)}</div>
      </div>
      <div className="grid grid-cols-2 gap-2">
        <button type="button" className="button min-h-14 text-lg" onClick={onAgain}>
          Type it again
        </button>
        <button type="button" className="button button-dark min-h-14 text-lg" onClick={onNext} autoFocus>
          Next
        </button>
      </div>
    </section>
  );
}
