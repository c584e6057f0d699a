import { type ControlPrediction, finer, formatLength, parseLength, type Reading } from '@splay/core';
import { CloudOff } from 'lucide-react';
import { type KeyboardEvent, useRef, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { readingProblemOf } from './taking.ts';

interface ReadingCellProps {
  readonly control: ControlPrediction;
  readonly reading: Reading | undefined;
  readonly waiting: boolean;
  readonly format: BenchProps['job']['display'];
  readonly disabled: boolean;
  readonly first: boolean;
  readonly onTake: (value: number) => void;
}

/** A field to type a reading into: Enter takes it and goes on to the next. */
export function ReadingCell({ control, reading, waiting, format, disabled, first, onTake }: ReadingCellProps) {
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState('');
  const stored = reading ? formatLength(reading.value, finer(format)).text : '';
  // Enter takes the reading and moves on, and moving on takes it once more: the second time there is nothing to take.
  const taken = useRef<string | null>(null);
  const commit = (): boolean => {
    if (draft === null || draft.trim() === stored || draft === taken.current) {
      setDraft(null);
      setProblem('');
      return true;
    }
    if (draft.trim() === '') {
      setDraft(null);
      setProblem(reading ? 'A reading is never taken back: type the new one over it.' : '');
      return false;
    }
    const read = parseLength(draft, format.unit);
    const message = read.ok ? readingProblemOf(control, read.value) : read.problem.message;
    setProblem(message);
    if (!read.ok || message) return false;
    taken.current = draft;
    setDraft(null);
    onTake(read.value);
    return true;
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Escape') {
      setDraft(null);
      setProblem('');
    }
    if (event.key !== 'Enter' && event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
    event.preventDefault();
    if (!commit()) return;
    const way = event.key === 'ArrowUp' ? 'previousElementSibling' : 'nextElementSibling';
    let row = event.currentTarget.closest('tr')?.[way];
    // What heads a group has nothing to type in.
    while (row && !row.querySelector('input')) row = row[way];
    row?.querySelector('input')?.focus();
  };
  return (
    <>
      <span className="flex items-center gap-1">
        {waiting && <CloudOff size={14} className="shrink-0 text-ochre" aria-label="not sent yet" />}
        <input
          className={`field min-h-7 min-w-0 px-1 text-right ${reading ? 'border-pencil' : ''}`}
          aria-label={`Measured: ${control.name}`}
          aria-invalid={problem !== ''}
          data-key={first ? 'new-reading' : undefined}
          autoComplete="off"
          value={draft ?? stored}
          disabled={disabled}
          onChange={(event) => {
            taken.current = null;
            setDraft(event.target.value);
          }}
          onFocus={(event) => event.target.select()}
          onBlur={commit}
          onKeyDown={onKeyDown}
        />
      </span>
      {problem && (
        <span role="alert" className="block text-xs text-oxide">
          {problem}
        </span>
      )}
    </>
  );
}
