import { arrayMove, useSortable } from '@dnd-kit/sortable';
import { stepName, type WeldStep } from '@splay/core';
import { Check, GripVertical } from 'lucide-react';
import type { BenchProps } from '../../client/bench-props.ts';
import { goToBench } from '../../client/go-to-bench.ts';
import { SortableList } from '../../ui/sortable-list.tsx';
import { decide, type WeldingInHand } from './use-welding.ts';

interface StepListProps {
  readonly bench: BenchProps;
  readonly hand: WeldingInHand;
}

/** The steps in their order, to be dragged to another place; each with its reason and how far it has come. */
export function StepList({ bench, hand }: StepListProps) {
  const ids = hand.welding.steps.map(({ id }) => id);
  const move = (from: number, to: number) =>
    decide(bench.store, 'Moved a step of the welding', (old) => ({ ...old, order: arrayMove(ids, from, to) }));
  return (
    <SortableList label="Steps of the welding in order" ids={ids} onMove={move}>
      {hand.welding.steps.map((step) => (
        <StepRow key={step.id} step={step} bench={bench} hand={hand} />
      ))}
    </SortableList>
  );
}

function StepRow({ step, bench, hand }: StepListProps & { readonly step: WeldStep }) {
  const { setNodeRef, transform, transition, attributes, listeners, isDragging } = useSortable({ id: step.id });
  const { store, canWrite, onSelect, onLook } = bench;
  const { joint, what, stitches, reason } = step;
  // The reason of a kind of step stands once.
  const told = hand.welding.steps.find((other) => other.what === what)?.id === step.id;
  const laid = hand.now.steps.find((each) => each.step.id === step.id)?.laid ?? 0;
  const open = hand.now.open.some(({ id }) => id === step.id) || hand.now.measure?.id === step.id;
  const done = stitches.length > 0 && laid === stitches.length;
  const pick = () => {
    if (!joint) return goToBench(store, 'true-up');
    onSelect(joint.id);
    onLook(joint.builtX);
  };
  return (
    <li
      ref={setNodeRef}
      style={{ transform: transform ? `translateY(${transform.y}px)` : undefined, transition }}
      className={`flex items-start gap-1 border-b border-rule/60 py-1 ${isDragging ? 'bg-layout-wash' : open ? 'bg-ochre-wash' : ''}`}
    >
      {canWrite && (
        <button
          type="button"
          className="flex min-h-8 w-6 shrink-0 cursor-grab items-center justify-center text-pencil"
          aria-label={`Move ${stepName(step)}`}
          {...attributes}
          {...listeners}
        >
          <GripVertical size={15} aria-hidden="true" />
        </button>
      )}
      <button type="button" className="min-w-0 flex-1 text-left" onClick={pick}>
        <b className="font-semibold">{stepName(step)}</b>
        {open && <span className="ml-1.5 text-sm text-ochre">{what === 'measure-tacked' ? 'measure now' : 'now'}</span>}
        {told && <span className="block text-sm leading-snug text-pencil">{reason}</span>}
      </button>
      <span className="shrink-0 pt-0.5 text-right whitespace-nowrap tabular-nums">
        {done && <Check size={15} className="mr-1 inline text-passed" aria-label="welded" />}
        {stitches.length > 0 ? `${laid} of ${stitches.length}` : ''}
      </span>
    </li>
  );
}
