import { type RefObject, useEffect, useRef, useState } from 'react';
import { type OperationListProps, Row } from './operation-row.tsx';
import { Waits } from '../../ui/waits.tsx';
import { lazyComponent } from '../../client/lazy-component.tsx';

/** How long after the list stands its rows can be dragged, ms: that code is not needed to see them. */
const LATER = 1500;

const sorted = () => import('./sorted-operations.tsx');
const SortedOperations = lazyComponent(() => sorted().then((file) => file.SortedOperations));

/** Whether the code that rows are dragged with is here; it is never swapped in under somebody's hands. */
function useSorted(canWrite: boolean, list: RefObject<HTMLOListElement | null>): boolean {
  const [ready, setReady] = useState(false);
  useEffect(() => {
    if (!canWrite || ready) return undefined;
    let timer = 0;
    const swap = () => {
      if (list.current?.contains(document.activeElement)) timer = window.setTimeout(swap, LATER);
      else setReady(true);
    };
    // Without it, operations are still moved by their arrows.
    timer = window.setTimeout(() => void sorted().then(swap, () => undefined), LATER);
    return () => window.clearTimeout(timer);
  }, [canWrite, ready, list]);
  return canWrite && ready;
}

/** The plan's operations in the order they are done, each with its letters: dragged, or moved by its arrows. */
export function OperationList(props: OperationListProps) {
  const list = useRef<HTMLOListElement>(null);
  const ready = useSorted(props.canWrite, list);
  const plain = (
    <ol ref={list} className="border-t border-rule" aria-label="Operations in order">
      {props.result.operations.map((outcome, index) => (
        <Row key={outcome.operation.id} {...props} outcome={outcome} index={index} />
      ))}
    </ol>
  );
  if (!ready) return plain;
  return (
    <Waits place={plain}>
      <SortedOperations {...props} />
    </Waits>
  );
}
