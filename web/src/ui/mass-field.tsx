import { useState } from 'react';

/** A mass in kilograms, 0 or more. */
export function MassField({
  mass,
  disabled,
  onChange,
}: {
  readonly mass: number;
  readonly disabled: boolean;
  readonly onChange: (mass: number) => void;
}) {
  const [problem, setProblem] = useState('');
  const commit = (text: string) => {
    const kilograms = Number(text);
    if (text.trim() === '' || !(kilograms >= 0)) return setProblem('Type kilograms, 0 or more.');
    setProblem('');
    if (kilograms !== mass) onChange(kilograms);
  };
  return (
    <label className="block text-sm text-pencil">
      Mass, kg
      <input
        className="field mt-1 h-9 text-center font-semibold text-graphite"
        key={mass}
        defaultValue={mass}
        disabled={disabled}
        inputMode="decimal"
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
