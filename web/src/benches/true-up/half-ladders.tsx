import { type MoveLine, moveText, type Points, type Vec3 } from '@splay/core';
import { linePath } from '../../board/line-path.ts';
import type { PointerEvent } from 'react';
import type { PictureProps } from '../../client/picture-props.ts';
import type { usePushed } from './use-true-up.ts';

interface LaddersProps {
  readonly found: NonNullable<ReturnType<typeof usePushed>>;
  readonly drawn: (id: string) => readonly [number, number] | null;
  readonly rails: Readonly<Record<'left' | 'right', number>>;
  readonly px: (x: number) => number;
  readonly picture: PictureProps;
  /** Pixels for each mm of error. */
  readonly large: number;
}

/** A frame without a loose half as one ladder, where the readings say that its points are. */
export const WholeLadder = ({ points, drawn }: { readonly points: Points } & Pick<LaddersProps, 'drawn'>) => (
  <g fill="none" strokeLinejoin="round">
    {(['left', 'right'] as const).map((side) => (
      <RailLine key={side} d={railPath(Object.keys(points), side, points, drawn)} ink="var(--color-steel)" />
    ))}
  </g>
);

/** One rail of a ladder. */
const RailLine = ({ d, ink }: { readonly d: string; readonly ink: string }) => (
  <>
    <path d={d} stroke="var(--color-graphite)" strokeWidth={11} />
    <path d={d} stroke={ink} strokeWidth={8} />
  </>
);

const railPath = (
  ids: readonly string[],
  side: 'left' | 'right',
  points: Points,
  drawn: LaddersProps['drawn'],
): string =>
  linePath(
    along(ids, side, points).flatMap((id) => {
      const at = drawn(id);
      return at ? [at] : [];
    }),
  );

/** Ids of a half along one rail, front to rear. */
const along = (ids: readonly string[], side: 'left' | 'right', nominal: Points) =>
  ids.filter((id) => id.endsWith(side)).toSorted((a, b) => (nominal[a] as Vec3).x - (nominal[b] as Vec3).x);

/**
 * Both halves as rigid ladders where the readings say that they are, the error drawn large; the loose one can be pushed: by
 * its middle all of it, by an end that end.
 */
export function HalfLadders({ found, drawn, rails, picture, large }: Omit<LaddersProps, 'px'>) {
  const { halves } = found.trueUp;
  const { store, job, startDrag } = picture;
  const xs = halves.rear.flatMap((id) => drawn(id)?.[0] ?? []);
  const [from, to] = [Math.min(...xs), Math.max(...xs)];
  const onPush = (event: PointerEvent<SVGRectElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const share = (event.clientX - box.left) / Math.max(1, box.width);
    const start = store.getState().pushed ?? { front: 0, rear: 0, back: 0 };
    startDrag(
      event,
      (dx, dy) =>
        store.setState({
          pushed: {
            front: start.front + (share > 0.7 ? 0 : dy / large),
            rear: start.rear + (share < 0.3 ? 0 : dy / large),
            back: start.back + dx / large,
          },
        }),
      () => undefined,
    );
  };
  return (
    <g>
      {(['front', 'rear'] as const).map((half) => (
        <g key={half} fill="none" strokeLinejoin="round">
          {(['left', 'right'] as const).map((side) => (
            <RailLine
              key={side}
              d={railPath(halves[half], side, halves.points, drawn)}
              ink={half === 'rear' ? 'var(--color-layout-wash)' : 'var(--color-steel)'}
            />
          ))}
        </g>
      ))}
      <rect
        x={from}
        y={rails.left - 12}
        width={Math.max(1, to - from)}
        height={rails.right - rails.left + 24}
        fill="transparent"
        className="cursor-grab touch-none"
        role="button"
        aria-label="The loose half: drag it, or nudge it with the arrow keys"
        tabIndex={0}
        onPointerDown={onPush}
        onKeyDown={(event) => {
          const way = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[event.key];
          if (!way) return;
          event.preventDefault();
          event.stopPropagation();
          const was = store.getState().pushed ?? { front: 0, rear: 0, back: 0 };
          const by = job.display.unit === 'in' ? 25.4 / 32 : 0.5;
          const [right = 0, back = 0] = way;
          store.setState({
            pushed: {
              front: was.front + (event.altKey ? 0 : right * by),
              rear: was.rear + right * by,
              back: was.back + back * by,
            },
          });
        }}
      >
        <title>The loose half: push it by its middle, or by an end</title>
      </rect>
    </g>
  );
}

/** The next thing to do to the loose half: one arrow where it is done, with its amount. */
export function NextArrow({ found, drawn, rails, px, picture: { job, result, tray } }: Omit<LaddersProps, 'large'>) {
  const { halves, holds, list } = found.trueUp;
  const [next] = found.pushed || list.before.wrong === 0 ? [] : (list.moves[0]?.lines ?? []);
  if (!next) return null;
  const xs = halves.rear.flatMap((id) => drawn(id)?.[0] ?? []);
  const middle = (Math.min(...xs) + Math.max(...xs)) / 2;
  const across = (rails.left + rails.right) / 2;
  const text = moveText(next, holds, result.datum.built, job.display);
  const wide = text.length * 5.4 + 20;
  const at = Math.max(wide / 2 + 4, Math.min(tray.width - wide / 2 - 4, middle));
  return (
    <g pointerEvents="none">
      <Arrow line={next} x={px(placeOf(next, holds))} y={across + 6} rails={rails} />
      <rect x={at - wide / 2} y={across - 30} width={wide} height={24} fill="var(--color-layout)" />
      <text
        x={at}
        y={across - 13}
        textAnchor="middle"
        fontSize={15}
        fontWeight={700}
        className="font-label"
        fill="var(--color-sheet)"
      >
        {text}
      </text>
    </g>
  );
}

/** Station at which a line of a move is done; the middle of the half where it is done to all of it. */
const placeOf = (line: MoveLine, holds: { readonly front: number; readonly rear: number }): number =>
  line.do === 'pull' || line.at === 'both' ? (holds.front + holds.rear) / 2 : holds[line.at];

function Arrow({
  line,
  x,
  y,
  rails,
}: {
  readonly line: MoveLine;
  readonly x: number;
  readonly y: number;
  readonly rails: Readonly<Record<'left' | 'right', number>>;
}) {
  const ink = { stroke: 'var(--color-layout)', strokeWidth: 4, fill: 'none' } as const;
  if (line.do === 'pull') {
    const way = line.by > 0 ? 1 : -1;
    return (
      <path
        d={`M${x - way * 34} ${y + 10}H${x + way * 34}M${x + way * 24} ${y + 2}L${x + way * 34} ${y + 10}L${x + way * 24} ${y + 18}`}
        {...ink}
      />
    );
  }
  if (line.do === 'slide') {
    const way = line.by > 0 ? 1 : -1;
    return (
      <path
        d={`M${x} ${y + 8 - way * 20}V${y + 8 + way * 20}M${x - 8} ${y + 8 + way * 10}L${x} ${y + 8 + way * 20}L${x + 8} ${y + 8 + way * 10}`}
        {...ink}
      />
    );
  }
  const sides = line.side === 'both' ? (['left', 'right'] as const) : [line.side];
  return (
    <>
      {sides.map((side) => {
        const at = rails[side];
        const way = line.by > 0 ? -1 : 1;
        return (
          <path
            key={side}
            d={`M${x - 11} ${at - way * 8}L${x} ${at + way * 10}L${x + 11} ${at - way * 8}Z`}
            fill="var(--color-layout)"
            stroke="var(--color-paper)"
          />
        );
      })}
    </>
  );
}
