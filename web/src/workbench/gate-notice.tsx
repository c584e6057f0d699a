import { type Gate, nextGate } from '@splay/core';

interface GateNoticeProps {
  readonly gates: readonly Gate[];
  readonly onGate: (gate: Gate['id']) => void;
}

/** What the next hold point waits for, in a line. */
export function GateNotice({ gates, onGate }: GateNoticeProps) {
  const next = nextGate(gates);
  if (!next) return null;
  return (
    <button
      type="button"
      className="on-dark w-full shrink-0 truncate bg-oxide-deep px-3 text-left text-sm text-on-night low:hidden"
      onClick={() => onGate(next.gate.id)}
    >
      {next.gate.name}: {next.check?.name.toLowerCase()}, {next.check?.detail}
    </button>
  );
}
