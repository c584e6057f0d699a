import { type LengthUnit, parseQuantity, quantityFigure, type QuantityKind, quantityUnit } from '@splay/core';
import { useState } from 'react';

interface QuantityFieldProps {
  readonly label: string;
  readonly of: QuantityKind;
  readonly value: number;
  readonly unit: LengthUnit;
  readonly disabled: boolean;
  /** What is wrong with a value; null when it is right. */
  readonly check?: (value: number) => string | null;
  readonly onChange: (value: number) => void;
}

/** A mass, a stress or a share in the core's unit, typed and shown in what the shop calls it. */
export function QuantityField({ label, of, value, unit, disabled, check, onChange }: QuantityFieldProps) {
  const [problem, setProblem] = useState('');
  const shown = quantityFigure(of, value, unit);
  const commit = (text: string) => {
    if (text === shown) return setProblem('');
    const read = parseQuantity(of, text, unit);
    const wrong = read.ok ? (check?.(read.value) ?? '') : read.problem.message;
    setProblem(wrong);
    if (read.ok && wrong === '' && read.value !== value) onChange(read.value);
  };
  return (
    <label className="block text-sm text-pencil">
      {label}, {quantityUnit(of, unit)}
      <input
        className="field mt-1 h-9 text-center font-semibold text-graphite"
        key={`${value} ${unit}`}
        defaultValue={shown}
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
