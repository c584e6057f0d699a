interface FormFieldProps {
  readonly name: string;
  readonly label: string;
  readonly type: string;
  /** What the browser may fill in. */
  readonly complete: string;
  readonly value?: string;
}

/** A field of a form that is sent as a whole: signing in, joining, one's own account. */
export function FormField({ name, label, type, complete, value = '' }: FormFieldProps) {
  return (
    <label className="block text-sm text-pencil">
      {label}
      <input
        className="field mt-1 text-graphite"
        name={name}
        type={type}
        autoComplete={complete}
        defaultValue={value}
        required
      />
    </label>
  );
}

/** What stands in the fields of a form. */
export const filledIn = (form: HTMLFormElement): Record<string, string> =>
  Object.fromEntries([...new FormData(form)].map(([key, value]) => [key, String(value)]));
