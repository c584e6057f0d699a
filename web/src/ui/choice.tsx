interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly (readonly [value: T, name: string])[];
  readonly disabled: boolean;
  readonly onChange: (value: T) => void;
  /** A list to pull down even where there is room to write the choices out. */
  readonly list?: boolean;
}

/** One of a few: written out side by side when they are short, a list to pull down when they are not. */
export function Choice<T extends string>({ label, value, choices, disabled, onChange, list = false }: ChoiceProps<T>) {
  const letters = choices.reduce((sum, [, name]) => sum + name.length, 0);
  const short =
    !list && choices.length <= 3 && letters <= 34 && choices.every(([, name]) => name.length * choices.length <= 36);
  if (short)
    return (
      <fieldset disabled={disabled}>
        <legend className="mb-1 text-sm text-pencil">{label}</legend>
        <div className="flex border border-graphite">
          {choices.map(([choice, name]) => (
            <button
              key={choice}
              type="button"
              aria-pressed={choice === value}
              className={`min-h-8 flex-1 border-r border-graphite px-2 text-sm last:border-r-0 ${choice === value ? 'bg-graphite text-paper' : 'bg-sheet'}`}
              onClick={() => onChange(choice)}
            >
              {name}
            </button>
          ))}
        </div>
      </fieldset>
    );
  return (
    <label className="block text-sm text-pencil">
      {label}
      <select
        className="field mt-1 text-[0.95rem] text-graphite"
        value={value}
        disabled={disabled}
        onChange={(event) => onChange(event.target.value as T)}
      >
        {choices.map(([choice, name]) => (
          <option key={choice} value={choice}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}
