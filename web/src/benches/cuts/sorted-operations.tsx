import { useSortable } from '@dnd-kit/sortable';
import { type Job, withOrder } from '@splay/core';
import { change } from '../../client/job-store.ts';
import { SortableList } from '../../ui/sortable-list.tsx';
import { type OperationListProps, Row, type RowProps } from './operation-row.tsx';

/** The operations in a list whose rows can be dragged to another place. */
export function SortedOperations(props: OperationListProps) {
  const { store, result } = props;
  const ids = result.operations.map(({ operation }) => operation.id);
  const move = (from: number, to: number) =>
    change(store, 'Reordered', (old) => {
      const steps = Array.from({ length: Math.abs(to - from) });
      return {
        ...old,
        plan: steps.reduce<Job['plan']>((plan) => withOrder(plan, ids[from] as string, to > from ? 1 : -1), old.plan),
      };
    });
  return (
    <SortableList label="Operations in order" ids={ids} onMove={move}>
      {result.operations.map((outcome, index) => (
        <SortedRow key={outcome.operation.id} {...props} outcome={outcome} index={index} />
      ))}
    </SortableList>
  );
}

function SortedRow(props: RowProps) {
  const { id } = props.outcome.operation;
  const { setNodeRef, transform, transition, attributes, listeners, isDragging } = useSortable({ id });
  return (
    <Row
      {...props}
      sort={{
        place: setNodeRef,
        style: { transform: transform ? `translateY(${transform.y}px)` : undefined, transition },
        handle: { ...attributes, ...listeners },
        dragged: isDragging,
      }}
    />
  );
}
