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
import { type Job, withOrder } from '@splay/core';
import { change } from '../../client/job-store.ts';
import { type OperationListProps, Row, type RowProps } from './operation-row.tsx';

/** The operations in a list whose rows can be dragged to another place. */
export function SortedOperations(props: OperationListProps) {
  const { store, result } = props;
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
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol className="border-t border-rule" aria-label="Operations in order">
          {result.operations.map((outcome, index) => (
            <SortedRow key={outcome.operation.id} {...props} outcome={outcome} index={index} />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
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
