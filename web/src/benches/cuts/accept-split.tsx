import { type SubmitEvent, useState } from 'react';

/** A group split that the builder decides to live with: only with the reason, which stays in the job. */
export function AcceptSplit({ onAccept }: { readonly onAccept: (reason: string) => void }) {
  const [reason, setReason] = useState('');
  const accept = (event: SubmitEvent) => {
    event.preventDefault();
    if (reason.trim() !== '') onAccept(reason.trim());
  };
  return (
    <form className="mb-2 ml-6 flex gap-2" onSubmit={accept}>
      <input
        className="field min-w-0"
        aria-label="Why the split is accepted"
        placeholder="why it is all right"
        maxLength={120}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <button type="submit" className="button" disabled={reason.trim() === ''}>
        Accept
      </button>
    </form>
  );
}
