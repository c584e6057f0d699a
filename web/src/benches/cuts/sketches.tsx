import {
  type Job,
  type Operation,
  pieAngle,
  placeOfOperation,
  type PlanResult,
  railAt,
  railOf,
  sectionLookup,
} from '@splay/core';
import { Length } from '../../ui/length.tsx';

interface SketchProps {
  readonly operation: Operation;
  readonly job: Job;
  readonly result: PlanResult;
}

/** The geometry of a cut seen from the side, with the figures to scribe. Not to scale: angles are drawn larger. */
export function Sketch({ operation, job }: SketchProps) {
  const place = placeOfOperation(operation);
  if (!place) return null;
  const rail = railOf(job.donor.rails, 'left');
  const depth = sectionLookup(job.donor)(railAt(rail, place.x).section).depth;
  switch (operation.kind) {
    case 'pie-cut': {
      const angle = pieAngle(operation.amount);
      if (!(angle > 0 && angle < Math.PI / 3)) return null;
      return <PieSketch operation={operation} angle={angle} depth={depth} job={job} />;
    }
    case 'trim':
      return operation.angle > 0 ? <TrimSketch operation={operation} depth={depth} job={job} /> : null;
    case 'notch':
      return operation.depth < depth ? <NotchSketch operation={operation} depth={depth} job={job} /> : null;
    default:
      return null;
  }
}

type Of<K extends Operation['kind']> = {
  readonly operation: Extract<Operation, { kind: K }>;
  readonly depth: number;
  readonly job: Job;
};

const [W, H] = [264, 96];
const frame = 'mt-3 border border-rule bg-paper';
const steel = { fill: 'var(--color-steel)', stroke: 'var(--color-graphite)', strokeWidth: 1.4 };
const cut = { fill: 'url(#hatch-cut)', stroke: 'var(--color-oxide)', strokeWidth: 1.4 };

function PieSketch({ operation, angle, depth, job }: Of<'pie-cut'> & { readonly angle: number }) {
  const [top, bottom, middle] = [26, 76, W / 2];
  const half = Math.max(7, Math.min(24, 50 * Math.tan(angle / 2)));
  const pivotTop = operation.pivot === 'top';
  const [tip, mouth] = pivotTop ? [top, bottom] : [bottom, top];
  const wedge =
    operation.mode === 'open'
      ? `M${middle} ${tip}V${mouth}`
      : operation.wedge === 'symmetric'
        ? `M${middle} ${tip}L${middle - half} ${mouth}H${middle + half}Z`
        : `M${middle} ${tip}V${mouth}H${middle + 2 * half}Z`;
  const width =
    operation.mode === 'open'
      ? 2 * depth * Math.sin(angle / 2)
      : operation.wedge === 'symmetric'
        ? 2 * depth * Math.tan(angle / 2)
        : depth * Math.tan(angle);
  return (
    <figure className={frame}>
      <svg viewBox={`0 0 ${W} ${H}`} role="img" aria-label={`Pie cut, pivot at the ${operation.pivot} edge`}>
        <rect x={12} y={top} width={W - 24} height={50} {...steel} />
        <path d={wedge} {...cut} />
        <circle cx={middle} cy={tip} r={4} fill="var(--color-layout)" />
        <text
          x={middle}
          y={pivotTop ? 16 : 91}
          textAnchor="middle"
          fontSize={12}
          className="font-label"
          fill="var(--color-layout)"
        >
          pivot edge, stays whole
        </text>
      </svg>
      <figcaption className="flex justify-between gap-2 border-t border-rule px-2 py-1 text-sm">
        <span>
          turns <b>{((angle * 180) / Math.PI).toFixed(2)}°</b>
        </span>
        <span>
          {operation.mode === 'open' ? 'opens to' : 'wedge'}{' '}
          <Length mm={width} format={job.display} unit className="font-semibold" />
        </span>
      </figcaption>
    </figure>
  );
}

function TrimSketch({ operation, depth, job }: Of<'trim'>) {
  const [top, bottom] = [22, 74];
  const offset = Math.min(70, 52 * Math.tan(operation.angle));
  const topX = operation.lean === 'top-longer' ? 170 : 170 - offset;
  const bottomX = operation.lean === 'top-longer' ? 170 - offset : 170;
  return (
    <figure className={frame}>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        role="img"
        aria-label="Trim seen from the side"
        transform={operation.end === 'front' ? 'scale(-1 1)' : undefined}
      >
        <path d={`M12 ${top}H${topX}L${bottomX} ${bottom}H12Z`} {...steel} />
        <path d={`M${topX} ${top}H${W - 12}V${bottom}H${bottomX}Z`} {...cut} />
      </svg>
      <figcaption className="flex justify-between gap-2 border-t border-rule px-2 py-1 text-sm">
        <span>
          leans <Length mm={depth * Math.tan(operation.angle)} format={job.display} unit className="font-semibold" />
        </span>
        <span>
          face <Length mm={depth / Math.cos(operation.angle)} format={job.display} unit className="font-semibold" />
        </span>
      </figcaption>
    </figure>
  );
}

function NotchSketch({ operation, depth, job }: Of<'notch'>) {
  const [top, height] = [22, 54];
  const deep = (operation.depth / depth) * height;
  const below = operation.from === 'below';
  const edge = below ? top + height : top;
  const inner = below ? edge - deep : edge + deep;
  return (
    <figure className={frame}>
      <svg viewBox={`0 0 ${W} ${H}`} role="img" aria-label="Notch seen from the side">
        <rect x={12} y={top} width={W - 24} height={height} {...steel} />
        <path d={`M86 ${edge}C88 ${inner} 176 ${inner} 178 ${edge}Z`} {...cut} />
      </svg>
      <figcaption className="flex justify-between gap-2 border-t border-rule px-2 py-1 text-sm">
        <span>
          left over it <Length mm={depth - operation.depth} format={job.display} unit className="font-semibold" />
        </span>
        <span>
          of <Length mm={depth} format={job.display} unit />
        </span>
      </figcaption>
    </figure>
  );
}
