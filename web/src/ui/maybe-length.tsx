import { formatLength, type LengthFormat, parseLength } from '@splay/core';
import { useId, useState } from 'react';

interface MaybeLengthProps {
  readonly label: string;
  /** Undefined while nobody has measured it. */
  readonly mm: number | undefined;
  readonly format: LengthFormat;
  readonly disabled: boolean;
  /** What an empty field says. */
  readonly empty?: string;
  /** Takes the length, or nothing where the field is left empty; says what is wrong with it, or nothing. */
  readonly onChange: (mm: number | undefined) => string;
}

/** A length that may be left empty. What was typed stays there until it can be read. */
export function MaybeLength({ label, mm, format, disabled, empty = 'not measured', onChange }: MaybeLengthProps) {
  const id = useId();
  const [problem, setProblem] = useState('');
  const shown = mm === undefined ? '' : formatLength(mm, format).text;
  const commit = (text: string) => {
    if (text.trim() === shown) return setProblem('');
    if (text.trim() === '') return setProblem(onChange(undefined));
    const read = parseLength(text, format.unit);
    setProblem(read.ok ? onChange(read.value) : read.problem.message);
  };
  return (
    <div className="text-sm text-pencil">
      <label className="block">
        {label}
        <input
          className="field mt-1 h-9 text-center font-semibold text-graphite"
          key={shown}
          defaultValue={shown}
          placeholder={empty}
          disabled={disabled}
          aria-invalid={problem !== ''}
          aria-describedby={problem ? id : undefined}
          onBlur={(event) => commit(event.target.value)}
        />
      </label>
      {problem && (
        <span id={id} role="alert" className="block text-oxide">
          {problem}
        </span>
      )}
    </div>
  );
}
