import { type SubmitEvent, useState } from 'react';

/** A conflict that the shop decides to live with: only with the reason, which stays in the job and on its sheets. */
export function AcceptConflict({ onAccept }: { readonly onAccept: (reason: string) => void }) {
  const [reason, setReason] = useState('');
  const accept = (event: SubmitEvent) => {
    event.preventDefault();
    if (reason.trim() !== '') onAccept(reason.trim());
  };
  return (
    <form className="mt-1.5 flex gap-2" onSubmit={accept}>
      <input
        className="field min-w-0"
        aria-label="Why this is accepted"
        placeholder="why it is all right here"
        maxLength={500}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <button type="submit" className="button" disabled={reason.trim() === ''}>
        Accept
      </button>
    </form>
  );
}
