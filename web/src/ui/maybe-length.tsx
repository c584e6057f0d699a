import { formatLength, type LengthFormat, parseLength } from '@splay/core';
import { useId, useState } from 'react';

interface MaybeLengthProps {
  readonly label: string;
  /** How to measure it. */
  readonly hint?: string;
  /** Undefined while nobody has measured it. */
  readonly mm: number | undefined;
  readonly format: LengthFormat;
  readonly disabled: boolean;
  /** What an empty field says. */
  readonly empty?: string;
  /** What is wrong with the length that stands there. */
  readonly problem?: string | undefined;
  /** Takes the length, or nothing where the field is left empty; says what is wrong with it, or nothing. */
  readonly onChange: (mm: number | undefined) => string;
}

/** A length that may be left empty. What was typed stays there until it can be read. */
export function MaybeLength({
  label,
  hint,
  mm,
  format,
  disabled,
  empty = 'not measured',
  problem: wrong,
  onChange,
}: MaybeLengthProps) {
  const id = useId();
  const [refused, setRefused] = useState('');
  const problem = refused || (wrong ?? '');
  const shown = mm === undefined ? '' : formatLength(mm, format).text;
  const commit = (text: string) => {
    if (text.trim() === shown) return setRefused('');
    if (text.trim() === '') return setRefused(onChange(undefined));
    const read = parseLength(text, format.unit);
    setRefused(read.ok ? onChange(read.value) : read.problem.message);
  };
  const about = [...(hint ? [`${id}-hint`] : []), ...(problem ? [id] : [])].join(' ');
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
          autoComplete="off"
          aria-invalid={problem !== ''}
          aria-describedby={about || undefined}
          onBlur={(event) => commit(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') commit(event.currentTarget.value);
          }}
        />
      </label>
      {hint && (
        <span id={`${id}-hint`} className="block text-xs">
          {hint}
        </span>
      )}
      {problem && (
        <span id={id} role="alert" className="block text-oxide">
          {problem}
        </span>
      )}
    </div>
  );
}
