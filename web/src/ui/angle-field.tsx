import { angleText } from '@splay/core';
import { useId, useState } from 'react';

interface AngleFieldProps {
  readonly label: string;
  readonly radians: number;
  readonly disabled: boolean;
  /** May be below 0. */
  readonly signed?: boolean;
  readonly onChange: (radians: number) => void;
}

/** An angle to type in degrees. */
export function AngleField({ label, radians, disabled, signed = false, onChange }: AngleFieldProps) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState('');
  const commit = () => {
    if (draft === null) return;
    const degrees = Number(draft.replace('°', '').replace('−', '-').trim());
    if (draft.trim() === '' || !Number.isFinite(degrees) || (degrees < 0 && !signed) || Math.abs(degrees) >= 90)
      return setProblem(
        signed
          ? 'Type degrees between −90 and 90, like −3 or 6.5.'
          : 'Type degrees from 0 to less than 90, like 45 or 6.5.',
      );
    setProblem('');
    setDraft(null);
    onChange((degrees * Math.PI) / 180);
  };
  return (
    <label className="block text-sm text-pencil" htmlFor={id}>
      {label}
      <input
        id={id}
        className="field mt-1 text-center font-semibold text-graphite"
        value={draft ?? angleText(radians, 3, false)}
        disabled={disabled}
        aria-invalid={problem !== ''}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => event.key === 'Enter' && commit()}
      />
      {problem && (
        <span role="alert" className="mt-1 block text-oxide">
          {problem}
        </span>
      )}
    </label>
  );
}
