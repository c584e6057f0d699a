import { angleText, finer, type Job, type OfSides, type Operation, type OperationFigures } from '@splay/core';
import type { ReactNode } from 'react';
import { Length } from '../../../ui/length.tsx';

/** What a sketch of one kind of operation gets: what it draws, and every figure that it says. */
export type SketchOf<K extends Operation['kind']> = K extends unknown
  ? {
      readonly operation: Extract<Operation, { kind: K }>;
      readonly figures: Extract<OperationFigures, { kind: K }>;
      readonly job: Job;
    }
  : never;

/** Lengths that are told apart on a tape, mm. */
const APART = 0.4;

/** Writes lengths of a sketch: one, or left and right where the rails differ. */
export function lengthsOf({ display }: Job) {
  const one = (mm: number) => <Length mm={mm} format={finer(display)} unit />;
  const each = ({ left, right }: OfSides) =>
    Math.abs(left - right) < APART ? (
      one(left)
    ) : (
      <>
        left {one(left)}, right {one(right)}
      </>
    );
  return { one, each };
}

export const [W, H] = [264, 96] as const;
export const steel = { fill: 'var(--color-steel)', stroke: 'var(--color-graphite)', strokeWidth: 1.4 };
export const fresh = { fill: 'url(#hatch-new)', stroke: 'var(--color-layout)', strokeWidth: 1.4 };
export const cut = { fill: 'url(#hatch-cut)', stroke: 'var(--color-oxide)', strokeWidth: 1.4 };
export const note = { fontSize: 12, className: 'font-label', fill: 'var(--color-layout)' };

export const degrees = (radians: number): string => angleText(Math.abs(radians), 2);

/** A sketch with the figures that count under it. Not to scale: small angles and steps are drawn larger. */
export function SketchFigure({
  name,
  figures,
  mirrored = false,
  children,
}: {
  readonly name: string;
  readonly figures: readonly (readonly [label: string, figure: ReactNode])[];
  /** Drawn for the rear, turned round for the front. */
  readonly mirrored?: boolean;
  readonly children: ReactNode;
}) {
  return (
    <figure className="mt-2 border border-rule bg-paper">
      <svg viewBox={`0 0 ${W} ${H}`} role="img" aria-label={name} transform={mirrored ? 'scale(-1 1)' : undefined}>
        {children}
      </svg>
      <figcaption className="border-t border-rule px-2 py-1 text-sm">
        <dl className="grid grid-cols-[1fr_auto] gap-x-2">
          {figures.map(([label, figure]) => (
            <div key={label} className="contents">
              <dt className="text-pencil">{label}</dt>
              <dd className="text-right font-semibold">{figure}</dd>
            </div>
          ))}
        </dl>
      </figcaption>
    </figure>
  );
}
