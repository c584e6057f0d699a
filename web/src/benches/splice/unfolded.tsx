import { isOnWeb, type LengthFormat, type RailSplice, type SplicePlate, widthOf } from '@splay/core';
import type { KeyboardEvent, PointerEvent } from 'react';
import type { StartDrag } from '../../client/picture-props.ts';
import { nudgeStep } from '../../ui/length-field.tsx';
import type { Selection } from './selection.ts';
import { Grip } from './grip.tsx';
import { linePath } from '../../board/line-path.ts';
import { plateShape, type Unfolding, weldPoints } from './unfolding.ts';

interface UnfoldedProps {
  readonly hand: Selection;
  readonly to: Unfolding;
  readonly from: number;
  readonly width: number;
  readonly canWrite: boolean;
  readonly format: LengthFormat;
  readonly startDrag: StartDrag;
  /** Pixels per mm along the rail. */
  readonly scale: number;
  readonly onDrag: (make: (mm: number) => RailSplice) => {
    readonly move: (mm: number) => void;
    readonly end: (moved: boolean) => void;
  };
  /** What a press on a plate does; nothing where it is not given. */
  readonly onPick?: (plate: string) => void;
  /** Holes of the rail near the joint, from it. */
  readonly holes: readonly {
    readonly name: string;
    readonly x: number;
    readonly z: number;
    readonly diameter: number;
  }[];
}

/** The rail laid flat with its joint, its plates, plugs, bolts and holes; plate ends and verticals can be dragged. */
export function Unfolded({
  hand,
  to,
  from,
  width,
  canWrite,
  format,
  startDrag,
  scale,
  onDrag,
  onPick,
  holes,
}: UnfoldedProps) {
  const { one } = hand;
  const { splice, steel, made } = one;
  const { section } = steel;
  const [top, webTop, webFoot, bottom] = to.edges;
  const { sleeve, form } = splice;
  const walls = made.splice?.parts.find(({ name }) => name.startsWith('sleeve'));
  const [sleeveFrom, sleeveTo] = [
    walls?.slices[0]?.x ?? -(sleeve?.ahead ?? 0),
    walls?.slices.at(-1)?.x ?? sleeve?.behind ?? 0,
  ];
  const open = made.splice?.joint.form === 'gap' ? made.splice.joint : null;
  const drag = (make: (mm: number) => RailSplice) =>
    canWrite
      ? {
          onPointerDown: (event: PointerEvent) => {
            event.stopPropagation();
            const { move, end } = onDrag(make);
            startDrag(event, (px) => move(px / scale), end);
          },
          onNudge: (event: KeyboardEvent, way: number) => {
            const { move, end } = onDrag(make);
            move(way * nudgeStep(event, format));
            end(true);
          },
        }
      : {};
  const withPlate = (id: string, change: (plate: SplicePlate) => SplicePlate): RailSplice => ({
    ...splice,
    plates: splice.plates.map((plate) => (plate.id === id ? change(plate) : plate)),
  });
  const weld = linePath(weldPoints(hand, to));
  const least = 6;
  return (
    <g>
      <rect x={from} y={top} width={width} height={bottom - top} fill="var(--color-steel)" />
      <path
        d={`M${from} ${top}h${width}M${from} ${bottom}h${width}`}
        stroke="var(--color-graphite)"
        strokeWidth={1.6}
      />
      <path
        d={`M${from} ${webTop}h${width}M${from} ${webFoot}h${width}`}
        stroke="var(--color-graphite)"
        strokeWidth={0.9}
        strokeDasharray="7 4"
      />
      {open && (
        <rect
          x={to.x(open.from)}
          y={top}
          width={to.x(open.to) - to.x(open.from)}
          height={bottom - top}
          fill="var(--color-paper)"
          stroke="var(--color-oxide)"
          strokeDasharray="4 3"
        />
      )}
      {sleeve && (
        <g>
          <title>{`Sleeve: ${sleeve.stock}`}</title>
          <rect
            x={to.x(sleeveFrom)}
            y={to.web((section.depth + Math.min(sleeve.height, section.depth)) / 2)}
            width={to.x(sleeveTo) - to.x(sleeveFrom)}
            height={Math.abs(to.web(Math.min(sleeve.height, section.depth)) - to.web(0))}
            fill={sleeve.kind === 'outer' ? 'url(#hatch-new)' : 'var(--color-layout-wash)'}
            fillOpacity={0.75}
            stroke="var(--color-layout)"
            strokeWidth={1.4}
            strokeDasharray={sleeve.kind === 'outer' ? undefined : '7 4'}
          />
          {sleeve.kind === 'wedge' && (
            <path
              d={linePath([
                [to.x(sleeveFrom), to.web((section.depth - sleeve.height) / 2)],
                [to.x(sleeveTo), to.web((section.depth + sleeve.height) / 2)],
              ])}
              stroke="var(--color-layout)"
              strokeDasharray="3 3"
            />
          )}
          {made.splice?.parts
            .filter(({ name }) => !name.endsWith('inner wall'))
            .flatMap((part) =>
              part.plugs.map((plug) => (
                <circle
                  key={`${part.name}${plug.x}`}
                  cx={to.x(plug.x)}
                  cy={
                    part.name.endsWith('top wall')
                      ? to.top(widthOf(section) / 2)
                      : part.name.endsWith('bottom wall')
                        ? to.bottom(widthOf(section) / 2)
                        : to.web(part.fed === 'as-web' ? plug.across : section.depth / 2)
                  }
                  r={Math.max(2, (plug.diameter / 2) * scale)}
                  fill="var(--color-oxide)"
                />
              )),
            )}
        </g>
      )}
      {made.plates.map((plate, index) => {
        const laid = splice.plates[index] as SplicePlate;
        const behindWeb = plate.face === 'web-inside' || plate.face === 'inner-side';
        return (
          <g
            key={laid.id}
            {...(onPick && { className: 'pointer-events-auto cursor-pointer', onClick: () => onPick(laid.id) })}
          >
            <title>{plate.name}</title>
            <path
              d={plateShape(plate, section, to)}
              fill="var(--color-layout-wash)"
              fillOpacity={0.8}
              stroke="var(--color-layout)"
              strokeWidth={plate.leg > 0 ? 3 : 1.6}
              strokeDasharray={behindWeb ? '8 4' : undefined}
              strokeLinejoin="round"
            />
            {[...plate.plugs, ...plate.bolts].map(({ x, across, diameter }) => (
              <circle
                key={`${x} ${across}`}
                cx={to.x(x)}
                cy={
                  isOnWeb(plate.face)
                    ? to.web(across)
                    : plate.face === 'top-flange'
                      ? to.top(across)
                      : to.bottom(across)
                }
                r={Math.max(2.2, (diameter / 2) * scale)}
                fill={plate.bolts.length > 0 ? 'var(--color-sheet)' : 'var(--color-oxide)'}
                stroke="var(--color-oxide)"
              />
            ))}
          </g>
        );
      })}
      {holes.map(({ name, x, z, diameter }) => (
        <g key={`${name}${x}`}>
          <title>{name}</title>
          <circle
            cx={to.x(x)}
            cy={to.web(z)}
            r={Math.max(2.6, (diameter / 2) * scale)}
            fill="var(--color-paper)"
            stroke="var(--color-graphite)"
            strokeWidth={1.3}
          />
        </g>
      ))}
      <path d={weld} fill="none" stroke="var(--color-sheet)" strokeWidth={6} />
      <path
        d={weld}
        fill="none"
        stroke="var(--color-oxide)"
        strokeWidth={3}
        strokeDasharray={form.form === 'bolted' ? '2 5' : undefined}
      />
      {made.plates.map((plate, index) => {
        const laid = splice.plates[index] as SplicePlate;
        const middle = isOnWeb(plate.face)
          ? to.web(section.depth / 2 + plate.off)
          : plate.face === 'top-flange'
            ? to.top(widthOf(section) / 2)
            : to.bottom(widthOf(section) / 2);
        return (['ahead', 'behind'] as const).map((end) => (
          <Grip
            key={`${laid.id}${end}`}
            name={`${plate.name}, ${end === 'ahead' ? 'front' : 'rear'} end`}
            x={to.x(end === 'ahead' ? -plate.ahead : plate.behind)}
            at={end === 'ahead' ? -plate.ahead : plate.behind}
            y={middle}
            format={format}
            handle="plate-end"
            {...drag((mm) =>
              withPlate(laid.id, (old) => ({
                ...old,
                [end]: Math.max(least, old[end] + (end === 'ahead' ? -mm : mm)),
              })),
            )}
          />
        ));
      })}
      {sleeve &&
        (['ahead', 'behind'] as const).map((end) => (
          <Grip
            key={end}
            name={`sleeve, ${end === 'ahead' ? 'front' : 'rear'} end`}
            x={to.x(end === 'ahead' ? sleeveFrom : sleeveTo)}
            at={end === 'ahead' ? sleeveFrom : sleeveTo}
            y={to.web(section.depth / 2)}
            format={format}
            handle="sleeve-end"
            {...drag((mm) => ({
              ...splice,
              sleeve: { ...sleeve, [end]: Math.max(least, sleeve[end] + (end === 'ahead' ? -mm : mm)) },
            }))}
          />
        ))}
      {form.form === 'step' &&
        ([1, -1] as const).map((side) => {
          const upper = form.upper === 'ahead' ? side < 0 : side > 0;
          return (
            <Grip
              key={side}
              name={`${upper ? 'upper' : 'lower'} vertical of the step`}
              x={to.x((side * form.length) / 2)}
              at={(side * form.length) / 2}
              y={upper ? (top + webTop) / 2 : (webFoot + bottom) / 2}
              format={format}
              handle="vertical"
              {...drag((mm) => ({
                ...splice,
                form: { ...form, length: Math.max(least, form.length + 2 * side * mm) },
              }))}
            />
          );
        })}
    </g>
  );
}
