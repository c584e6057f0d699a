import { Upload } from 'lucide-react';
import { type ReactNode, useRef } from 'react';

interface FileButtonProps {
  /** What kind of file: “Job file”. */
  readonly label: string;
  readonly disabled: boolean;
  readonly onFile: (file: File) => void;
  readonly children: ReactNode;
}

/** A button that takes in a JSON file; the same one can be taken in again once it was put right. */
export function FileButton({ label, disabled, onFile, children }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className="button" disabled={disabled} onClick={() => input.current?.click()}>
        <Upload size={15} aria-hidden="true" />
        {children}
      </button>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        className="hidden"
        aria-label={label}
        onChange={({ target }) => {
          const file = target.files?.[0];
          target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}
