import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
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

/** The plan's operations in the order they are done, each with its letters: dragged, or moved by its arrows. */
export function OperationList(props: OperationListProps) {
  const { store, result, canWrite } = props;
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = result.operations.map(({ operation }) => operation.id);
  const drop = ({ active, over }: DragEndEvent) => {
    const by = over ? ids.indexOf(String(over.id)) - ids.indexOf(String(active.id)) : 0;
    if (by === 0) return;
    change(store, 'Reordered', (old) => {
      const steps = Array.from({ length: Math.abs(by) });
      return {
        ...old,
        plan: steps.reduce<Job['plan']>((plan) => withOrder(plan, String(active.id), by > 0 ? 1 : -1), old.plan),
      };
    });
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy} disabled={!canWrite}>
        <ol className="border-t border-rule" aria-label="Operations in order">
          {result.operations.map((outcome, index) => (
            <Row key={outcome.operation.id} {...props} outcome={outcome} index={index} />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

interface RowProps extends OperationListProps {
  readonly outcome: OperationOutcome;
  readonly index: number;
}

/** One operation: its letters, its name, the figure it goes by; of the one at hand what can be done with it. */
function Row({ outcome, index, store, result, canWrite, selected, onSelect, job }: RowProps) {
  const { operation, status, letters } = outcome;
  const { setNodeRef, transform, transition, attributes, listeners, isDragging } = useSortable({ id: operation.id });
  const current = operation.id === selected;
  const name = operationName(operation);
  const thing = thingOf(operation, result);
  const edit = (label: string, how: (plan: Job['plan']) => Job['plan']) =>
    change(store, label, (old) => ({ ...old, plan: how(old.plan) }));
  return (
    <li
      ref={setNodeRef}
      style={{ transform: transform ? `translateY(${transform.y}px)` : undefined, transition }}
      className={`flex flex-wrap items-center border-b border-rule ${current ? 'bg-layout-wash' : ''} ${isDragging ? 'relative z-10 bg-layout-wash' : ''}`}
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
        </span>
        {status === 'refused' && <span className="text-xs text-oxide">cannot</span>}
        <span className="ml-auto pr-1.5 whitespace-nowrap text-pencil">
          {viewOf(operation).figure(operation as never, job.display)}
        </span>
      </button>
      {current && canWrite && (
        <span className="ml-auto flex">
          <button
            type="button"
            className="cursor-grab touch-none p-1 text-pencil hover:text-graphite"
            {...attributes}
            {...listeners}
            aria-label={`Drag ${name} to another place`}
          >
            <GripVertical size={14} aria-hidden="true" />
          </button>
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
