import { Upload } from 'lucide-react';
import { type ReactNode, useRef } from 'react';

interface FileButtonProps {
  /** What kind of file: “Job file”. */
  readonly label: string;
  readonly disabled: boolean;
  /** What a file chooser offers; job files by default. */
  readonly accept?: string;
  readonly onFile: (file: File) => void;
  readonly children: ReactNode;
}

/** A button that takes in a file; the same one can be taken in again once it was put right. */
export function FileButton({ label, accept = '.json,application/json', disabled, onFile, children }: FileButtonProps) {
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
        accept={accept}
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
