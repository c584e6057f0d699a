interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly disabled: boolean;
  /** Most letters. */
  readonly longest?: number;
  /** Takes what was typed, without blanks around it; nothing typed keeps what was there. */
  readonly onChange: (text: string) => void;
}

/** A short text that must not be empty: a name. */
export function TextField({ label, value, disabled, longest = 120, onChange }: TextFieldProps) {
  return (
    <label className="block text-sm text-pencil">
      {label}
      <input
        key={value}
        className="field mt-1 h-9 text-graphite"
        defaultValue={value}
        disabled={disabled}
        maxLength={longest}
        onBlur={({ target }) => {
          const text = target.value.trim();
          if (text === '') target.value = value;
          else if (text !== value) onChange(text);
        }}
      />
    </label>
  );
}
