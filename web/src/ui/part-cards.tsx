import { type FlatPart, type FlatShape, inches, type LengthFormat, lengthText, quantityText } from '@splay/core';
import type { JobStore } from '../client/job-store.ts';
import { useJobState } from '../client/job-store.ts';
import { Length } from './length.tsx';

/** A flat shape as an SVG path and what is in it, y up. */
export function FlatDrawing({ flat, width }: { readonly flat: FlatShape; readonly width: number }) {
  const xs = flat.outline.map(([x]) => x);
  const ys = flat.outline.map(([, y]) => y);
  const [w, h] = [Math.max(...xs), Math.max(...ys)];
  const scale = Math.min(width / w, 96 / h);
  const at = ([x, y]: readonly [number, number]) => [3 + x * scale, 3 + (h - y) * scale] as const;
  const path = `${flat.outline.map((point, index) => `${index ? 'L' : 'M'}${at(point).join(' ')}`).join('')}Z`;
  return (
    <svg width={w * scale + 6} height={h * scale + 6} aria-hidden="true" className="block">
      <path d={path} fill="var(--color-layout-wash)" stroke="var(--color-layout)" strokeWidth={1.5} />
      {flat.lines.map(({ from, to, what }, index) => {
        const [[x1, y1], [x2, y2]] = [at(from), at(to)];
        return (
          <line
            key={index}
            {...{ x1, y1, x2, y2 }}
            stroke={what === 'cut' ? 'var(--color-oxide)' : 'var(--color-pencil)'}
            strokeDasharray={what === 'joint' ? '10 3 2 3' : what === 'bend' ? '6 4' : undefined}
            strokeWidth={what === 'cut' ? 2 : 1}
          />
        );
      })}
      {flat.holes.map(({ at: hole, diameter, what }, index) => {
        const [cx, cy] = at(hole);
        return (
          <circle
            key={index}
            cx={cx}
            cy={cy}
            r={Math.max(1.5, (diameter / 2) * scale)}
            fill="var(--color-sheet)"
            stroke={what === 'kept' ? 'var(--color-graphite)' : 'var(--color-oxide)'}
          />
        );
      })}
    </svg>
  );
}

interface PartCardsProps {
  readonly store: JobStore;
  readonly format: LengthFormat;
  readonly parts: readonly FlatPart[];
  /** Which parts the files hold: of the joints, or of the mounts. */
  readonly of: 'joints' | 'mounts';
  /** What stands here while there are none. */
  readonly none: string;
}

/** Parts to cut, left and right, each with its flat shape and its files. */
export function PartCards({ store, format, parts, of, none }: PartCardsProps) {
  const { id, saveState } = useJobState(store, (state) => ({ id: state.id, saveState: state.saveState }));
  const mass = parts.reduce((sum, part) => sum + part.mass, 0);
  const file = (as: string) => `/api/jobs/${id}/parts?of=${of}&as=${as}`;
  if (parts.length === 0) return <p className="p-4 text-pencil">{none}</p>;
  return (
    <div className="p-4">
      <div className="mb-3 flex flex-wrap items-center gap-1.5">
        <span className="mr-2">
          {parts.length} parts, {quantityText('mass', mass, format.unit)} of steel. All of them:
        </span>
        <a className="button" href={file('dxf')}>
          DXF
        </a>
        <a className="button" href={file('svg')}>
          SVG
        </a>
        <a className="button" href={`${file('pdf')}&paper=a4`}>
          PDF 1:1, A4
        </a>
        <a className="button" href={`${file('pdf')}&paper=letter`}>
          PDF 1:1, Letter
        </a>
      </div>
      {saveState !== 'saved' && (
        <p role="status" className="mb-3 border-l-4 border-ochre bg-ochre-wash px-3 py-1.5 text-sm">
          The last change is not saved yet: the files show the saved plan.
        </p>
      )}
      <ul className="grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
        {parts.map((part) => (
          <PartCard key={part.mark} part={part} format={format} href={file} />
        ))}
      </ul>
    </div>
  );
}

function PartCard({
  part,
  format,
  href,
}: {
  readonly part: FlatPart;
  readonly format: LengthFormat;
  readonly href: (as: string) => string;
}) {
  // An estimate: to the half inch, or the centimetre.
  const coarse = format.unit === 'in' ? inches(1 / 2) : 10;
  const one = `&part=${encodeURIComponent(part.mark)}`;
  return (
    <li className="border border-graphite bg-sheet p-3">
      <div className="flex items-baseline justify-between gap-2">
        <b className="heading text-xl text-layout">{part.mark}</b>
        <span className="text-right text-sm first-letter:uppercase">{part.name}</span>
      </div>
      <div className="my-2 flex min-h-24 items-center justify-center">
        <FlatDrawing flat={part.flat} width={216} />
      </div>
      <p className="heading text-lg">
        <Length mm={part.length} format={format} /> × <Length mm={part.width} format={format} /> ×{' '}
        <Length mm={part.thickness} format={format} />
      </p>
      <p className="text-sm text-pencil">
        {part.offcut ? `from the ${part.offcut}` : part.stock}, {quantityText('mass', part.mass, format.unit)}
        {part.weldLength > 0 &&
          `, about ${lengthText(Math.round(part.weldLength / coarse) * coarse, format, true)} of weld`}
        {part.flat.holes.length > 0 && `, ${part.flat.holes.length} ${part.flat.holes.length === 1 ? 'hole' : 'holes'}`}
        {part.note && `. ${part.note.charAt(0).toUpperCase()}${part.note.slice(1)}.`}
      </p>
      <p className="mt-1.5 flex gap-1.5">
        <a className="button px-2" href={`${href('dxf')}${one}`} aria-label={`DXF of ${part.mark}`}>
          DXF
        </a>
        <a className="button px-2" href={`${href('svg')}${one}`} aria-label={`SVG of ${part.mark}`}>
          SVG
        </a>
        <span className="sr-only">{lengthText(part.length, format)}</span>
      </p>
    </li>
  );
}
