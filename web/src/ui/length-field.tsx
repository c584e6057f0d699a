import { formatLength, type LengthFormat, nudgeOf, parseLength } from '@splay/core';
import { Minus, Plus } from 'lucide-react';
import { type KeyboardEvent, useId, useState } from 'react';

interface LengthFieldProps {
  readonly label: string;
  readonly mm: number;
  readonly format: LengthFormat;
  readonly onChange: (mm: number) => void;
  readonly disabled?: boolean;
  /** Says what is wrong with a length that can be read, or nothing. */
  readonly check?: (mm: number) => string | null;
  readonly strong?: boolean;
}

/** How far one press moves: the shown division, eight of them with Shift, a quarter with Alt. */
export const nudgeStep = (
  event: { readonly shiftKey: boolean; readonly altKey: boolean },
  format: LengthFormat,
): number => nudgeOf(format) * (event.shiftKey ? 8 : event.altKey ? 0.25 : 1);

/**
 * A length as a field holds it: a sixty-fourth that it is stands there, however coarse lengths are shown elsewhere, so
 * that a quarter of a division typed or nudged can be seen.
 */
function fieldText(mm: number, format: LengthFormat): string {
  if (format.unit === 'mm' || format.division === 'decimal') return formatLength(mm, format).text;
  const fine = formatLength(mm, { ...format, division: 64 }).text;
  const read = parseLength(fine, format.unit);
  return read.ok && Math.abs(read.value - mm) < 0.01 ? fine : formatLength(mm, format).text;
}

/** A length to type, step or nudge with the arrow keys. What was typed stays there until it can be read. */
export function LengthField({
  label,
  mm,
  format,
  onChange,
  disabled = false,
  check,
  strong = false,
}: LengthFieldProps) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const shown = draft ?? fieldText(mm, format);

  const take = (value: number) => {
    const wrong = check?.(value) ?? null;
    setProblem(wrong);
    if (wrong) return;
    setDraft(null);
    onChange(value);
  };
  const commit = () => {
    if (draft === null) return;
    const read = parseLength(draft, format.unit);
    if (read.ok) take(read.value);
    else setProblem(read.problem.message);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') commit();
    else if (event.key === 'Escape') {
      // With nothing typed Escape leaves the field, so that the keys of the board work again.
      if (draft === null) event.currentTarget.blur();
      setDraft(null);
      setProblem(null);
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      // From what is typed, where that can be read already.
      const read = draft === null ? null : parseLength(draft, format.unit);
      take((read?.ok ? read.value : mm) + nudgeStep(event, format) * (event.key === 'ArrowUp' ? 1 : -1));
    }
  };
  const stepper = 'flex w-9 items-center justify-center bg-bench text-pencil hover:text-graphite disabled:text-rule';
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm text-pencil">
        {label}
      </label>
      <div className={`flex min-h-9 border ${problem ? 'border-oxide' : 'border-graphite'}`}>
        <button
          type="button"
          className={`${stepper} border-r border-inherit`}
          disabled={disabled}
          aria-label={`${label}: less`}
          onClick={(event) => take(mm - nudgeStep(event, format))}
        >
          <Minus size={14} />
        </button>
        <input
          id={id}
          className={`min-w-0 flex-1 bg-sheet text-center outline-offset-[-3px] ${strong ? 'text-lg font-semibold text-layout' : 'font-semibold'}`}
          value={shown}
          disabled={disabled}
          inputMode="text"
          autoComplete="off"
          aria-invalid={problem !== null}
          aria-describedby={problem ? `${id}-problem` : undefined}
          onChange={(event) => setDraft(event.target.value)}
          onFocus={(event) => event.target.select()}
          onBlur={commit}
          onKeyDown={onKeyDown}
        />
        <button
          type="button"
          className={`${stepper} border-l border-inherit`}
          disabled={disabled}
          aria-label={`${label}: more`}
          onClick={(event) => take(mm + nudgeStep(event, format))}
        >
          <Plus size={14} />
        </button>
      </div>
      {problem && (
        <p id={`${id}-problem`} role="alert" className="mt-1 text-sm text-oxide">
          {problem}
        </p>
      )}
    </div>
  );
}
