import {
  aboutOf,
  type Job,
  type Operation,
  operationName,
  type PlanResult,
  withOperation,
  withOrder,
  withoutOperation,
} from '@splay/core';
import { ArrowDown, ArrowUp, Eye, EyeOff, Trash2 } from 'lucide-react';
import { change, type JobStore } from '../../client/job-store.ts';
import { viewOf } from './kinds/index.ts';

interface OperationListProps {
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

/** The plan's operations in the order they are done, each with its letters. */
export function OperationList({ store, result, canWrite, selected, onSelect, job }: OperationListProps) {
  const edit = (label: string, how: Parameters<typeof change>[2]) => change(store, label, how);
  return (
    <ol className="border-t border-rule" aria-label="Operations in order">
      {result.operations.map(({ operation, status, letters }, index) => {
        const current = operation.id === selected;
        const name = operationName(operation);
        const thing = thingOf(operation, result);
        return (
          <li
            key={operation.id}
            className={`flex items-center border-b border-rule ${current ? 'bg-layout-wash' : ''}`}
          >
            <button
              type="button"
              className="flex min-w-0 flex-1 items-center gap-2 py-1.5 pl-1 text-left"
              aria-pressed={current}
              onClick={() => onSelect(operation.id)}
            >
              <span
                className={`heading flex h-6 min-w-6 items-center justify-center px-1 text-sm ${letters.length > 0 ? 'bg-layout text-sheet' : 'border border-rule text-pencil'}`}
              >
                {letters.length > 0 ? letters.join(' ') : index + 1}
              </span>
              <span
                className={`min-w-0 ${status === 'off' ? 'text-pencil line-through' : status === 'refused' ? 'text-oxide' : ''} ${current ? 'font-semibold' : ''}`}
              >
                {name}
                {thing && <span className="block truncate text-sm leading-4 font-normal text-pencil">{thing}</span>}
              </span>
              {status === 'refused' && <span className="text-xs text-oxide">cannot</span>}
              <span className="ml-auto pr-1.5 whitespace-nowrap text-pencil">
                {viewOf(operation).figure(operation as never, job.display)}
              </span>
            </button>
            {current && canWrite && (
              <span className="flex">
                <Tool
                  label={`Do ${name} earlier`}
                  icon={ArrowUp}
                  disabled={index === 0}
                  onClick={() => edit('Reordered', (old) => ({ ...old, plan: withOrder(old.plan, operation.id, -1) }))}
                />
                <Tool
                  label={`Do ${name} later`}
                  icon={ArrowDown}
                  disabled={index === result.operations.length - 1}
                  onClick={() => edit('Reordered', (old) => ({ ...old, plan: withOrder(old.plan, operation.id, 1) }))}
                />
                <Tool
                  label={operation.off ? `Switch ${name} on` : `Switch ${name} off`}
                  icon={operation.off ? EyeOff : Eye}
                  onClick={() =>
                    edit(operation.off ? 'Switched on' : 'Switched off', (old) => ({
                      ...old,
                      plan: withOperation(old.plan, { ...operation, off: !operation.off }),
                    }))
                  }
                />
                <Tool
                  label={`Remove ${name}`}
                  icon={Trash2}
                  onClick={() =>
                    edit(`Removed ${name.toLowerCase()}`, (old) => ({
                      ...old,
                      plan: withoutOperation(old.plan, operation.id),
                    }))
                  }
                />
              </span>
            )}
          </li>
        );
      })}
    </ol>
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
      className="p-1 text-pencil hover:text-graphite disabled:text-rule"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
    >
      <Icon size={14} />
    </button>
  );
}
