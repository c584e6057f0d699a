import { DatabaseBackup } from 'lucide-react';
import { useState } from 'react';
import { api } from '../client/api.ts';
import { useAwake } from '../client/use-awake.ts';

/** Makes a backup of everything, and says how that went. */
export function BackUpNow() {
  const awake = useAwake();
  const [state, setState] = useState<{ readonly kind: 'idle' | 'making' | 'made' | 'failed'; readonly detail: string }>(
    {
      kind: 'idle',
      detail: '',
    },
  );
  const make = async () => {
    setState({ kind: 'making', detail: '' });
    const answer = await api.backUp();
    setState(
      answer.ok
        ? { kind: answer.value.ok ? 'made' : 'failed', detail: answer.value.detail }
        : { kind: 'failed', detail: answer.detail },
    );
  };
  return (
    <>
      <button
        type="button"
        className="button button-dark"
        disabled={!awake || state.kind === 'making'}
        onClick={() => void make()}
      >
        <DatabaseBackup size={15} aria-hidden="true" />
        Back up now
      </button>
      {state.kind === 'making' && (
        <p role="status" className="mt-2">
          Making a backup, and bringing it back to prove it …
        </p>
      )}
      {state.kind === 'made' && (
        <p role="status" className="mt-2 border-l-4 border-passed px-3 py-1.5">
          Backup made, and proved by bringing it back.
        </p>
      )}
      {state.kind === 'failed' && (
        <p role="alert" className="mt-2 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          No backup was made. {state.detail}
        </p>
      )}
    </>
  );
}
