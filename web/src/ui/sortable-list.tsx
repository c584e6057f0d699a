import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { ReactNode } from 'react';

interface SortableListProps {
  /** What the list is called. */
  readonly label: string;
  /** Ids of its rows in their order. */
  readonly ids: readonly string[];
  /** A row was moved from one place to another, by pointer or by keys. */
  readonly onMove: (from: number, to: number) => void;
  /** Its rows, each with `useSortable`. */
  readonly children: ReactNode;
}

/** A list whose rows are dragged to another place. */
export function SortableList({ label, ids, onMove, children }: SortableListProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const drop = ({ active, over }: DragEndEvent) => {
    const [from, to] = [ids.indexOf(String(active.id)), over ? ids.indexOf(String(over.id)) : -1];
    if (to >= 0 && from !== to) onMove(from, to);
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        <ol className="border-t border-rule" aria-label={label}>
          {children}
        </ol>
      </SortableContext>
    </DndContext>
  );
}
