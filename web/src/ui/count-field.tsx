import { useState } from 'react';

interface CountFieldProps {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly disabled: boolean;
  readonly onChange: (value: number) => void;
}

/** A whole number of things. What was typed stays there until it can be read. */
export function CountField({ label, value, least, most, disabled, onChange }: CountFieldProps) {
  const [problem, setProblem] = useState('');
  const commit = (text: string) => {
    const count = Number(text);
    const right = /^\d+$/.test(text.trim()) && count >= least && count <= most;
    setProblem(right ? '' : `A whole number from ${least} to ${most}.`);
    if (right && count !== value) onChange(count);
  };
  return (
    <label className="block text-sm text-pencil">
      {label}
      <input
        className="field mt-1 h-9 text-center font-semibold text-graphite"
        key={value}
        defaultValue={value}
        disabled={disabled}
        inputMode="numeric"
        aria-invalid={problem !== ''}
        onBlur={(event) => commit(event.target.value)}
      />
      {problem && (
        <span role="alert" className="block text-oxide">
          {problem}
        </span>
      )}
    </label>
  );
}
