import {
  aboutOf,
  dotted,
  type Job,
  type Operation,
  operationName,
  type OperationOutcome,
  type PlanResult,
  withOperation,
  withOrder,
  withoutOperation,
} from '@splay/core';
import { ArrowDown, ArrowUp, Eye, EyeOff, GripVertical, Trash2 } from 'lucide-react';
import type { CSSProperties, HTMLAttributes } from 'react';
import { change, type JobStore } from '../../client/job-store.ts';
import { viewOf } from './kinds/index.ts';

export interface OperationListProps {
  readonly store: JobStore;
  readonly result: PlanResult;
  readonly canWrite: boolean;
  readonly selected: string | null;
  readonly onSelect: (id: string) => void;
  readonly job: Job;
}

/** What an operation is about besides the rails: its name on the donor, or that of what it brings. */
function thingOf(operation: Operation, result: PlanResult): string {
  const { brings, names } = aboutOf(operation);
  const ref = brings ?? names;
  if (!ref) return '';
  const { features, crossmembers, members, braces } = result;
  return (
    [
      ...features.map(({ feature }) => feature),
      ...crossmembers.map(({ crossmember }) => crossmember),
      ...members.map(({ member }) => member),
      ...braces.map(({ brace }) => brace),
    ].find(({ id }) => id === ref.id || id === `${ref.id}-1`)?.name ?? ''
  );
}

export interface RowProps extends OperationListProps {
  readonly outcome: OperationOutcome;
  readonly index: number;
  /** Where rows are dragged: what makes this one go along. */
  readonly sort?: {
    readonly place: (element: HTMLElement | null) => void;
    readonly style: CSSProperties;
    readonly handle: HTMLAttributes<HTMLButtonElement>;
    readonly dragged: boolean;
  };
}

/** One operation: its letters, its name, the figure it goes by; of the one at hand what can be done with it. */
export function Row({ outcome, index, store, result, canWrite, selected, onSelect, job, sort }: RowProps) {
  const { operation, status, letters } = outcome;
  const current = operation.id === selected;
  const name = operationName(operation);
  const thing = thingOf(operation, result);
  const edit = (label: string, how: (plan: Job['plan']) => Job['plan']) =>
    change(store, label, (old) => ({ ...old, plan: how(old.plan) }));
  return (
    <li
      ref={sort?.place}
      style={sort?.style}
      className={`flex flex-wrap items-center border-b border-rule ${current ? 'bg-layout-wash' : ''} ${sort?.dragged ? 'relative z-10 bg-layout-wash' : ''}`}
    >
      <button
        type="button"
        className="flex min-w-0 grow basis-38 items-center gap-2 py-1.5 pl-1 text-left"
        aria-pressed={current}
        onClick={() => onSelect(operation.id)}
      >
        <span
          className={`heading flex h-6 min-w-6 items-center justify-center px-1 text-sm ${letters.length > 0 ? 'bg-layout text-sheet' : 'border border-rule text-pencil'}`}
        >
          {letters.length > 0 ? dotted(letters) : index + 1}
        </span>
        <span
          className={`min-w-0 ${status === 'off' ? 'text-pencil line-through' : status === 'refused' ? 'text-oxide' : ''} ${current ? 'font-semibold' : ''}`}
        >
          {name}
          {thing && <span className="block truncate text-sm leading-4 font-normal text-pencil">{thing}</span>}
          {status === 'refused' && <span className="block text-sm leading-4 font-normal">cannot be done</span>}
        </span>
        <span className="ml-auto pr-1 font-label whitespace-nowrap text-pencil">
          {viewOf(operation).figure(operation as never, job.display)}
        </span>
      </button>
      {current && canWrite && (
        <span className="ml-auto flex">
          {sort && (
            <button
              type="button"
              className="cursor-grab touch-none p-1 text-pencil hover:text-graphite"
              {...sort.handle}
              aria-label={`Drag ${name} to another place`}
            >
              <GripVertical size={14} aria-hidden="true" />
            </button>
          )}
          <Tool
            label={`Do ${name} earlier`}
            icon={ArrowUp}
            disabled={index === 0}
            onClick={() => edit('Reordered', (plan) => withOrder(plan, operation.id, -1))}
          />
          <Tool
            label={`Do ${name} later`}
            icon={ArrowDown}
            disabled={index === result.operations.length - 1}
            onClick={() => edit('Reordered', (plan) => withOrder(plan, operation.id, 1))}
          />
          <Tool
            label={operation.off ? `Switch ${name} on` : `Switch ${name} off`}
            icon={operation.off ? EyeOff : Eye}
            onClick={() =>
              edit(operation.off ? 'Switched on' : 'Switched off', (plan) =>
                withOperation(plan, { ...operation, off: !operation.off }),
              )
            }
          />
          <Tool
            label={`Remove ${name}`}
            icon={Trash2}
            onClick={() => edit(`Removed ${name.toLowerCase()}`, (plan) => withoutOperation(plan, operation.id))}
          />
        </span>
      )}
    </li>
  );
}

function Tool({
  label,
  icon: Icon,
  disabled = false,
  onClick,
}: {
  readonly label: string;
  readonly icon: typeof Eye;
  readonly disabled?: boolean;
  readonly onClick: () => void;
}) {
  return (
    <button
      type="button"
      className="flex items-center justify-center p-1 text-pencil hover:text-graphite disabled:text-rule"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
    >
      <Icon size={14} aria-hidden="true" />
    </button>
  );
}
