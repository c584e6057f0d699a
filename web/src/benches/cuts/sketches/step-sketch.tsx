import { faceTop, type Piece, spine } from '@splay/core';
import { finer } from '../../../ui/finer.ts';
import { Length } from '../../../ui/length.tsx';
import { cut, degrees, fresh, note, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

/** A step: the part between turned or replaced, its slope, and what it does to the length of the frame. */
export function StepSketch({ operation, result, depth, job }: SketchOf<'step'>) {
  const joint = result.joints.find((candidate) => candidate.operation === operation.id);
  const middle = joint && result.pieces[joint.piece + 1];
  if (!middle) return null;
  const [front, rear] = ends(middle);
  const slope = Math.atan2(rear.z - front.z, rear.x - front.x);
  const turned = operation.method === 'turn-middle';
  const wedge = result.removed.find((piece) => piece.operation === operation.id);
  const length = (mm: number) => <Length mm={mm} format={finer(job.display)} unit />;
  const up = operation.rise > 0;
  const [low, high] = [50, 18];
  const [a, b] = up ? [low, high] : [high, low];
  const between = turned ? steel : fresh;
  return (
    <SketchFigure
      name={`Step ${up ? 'up' : 'down'}, the part between ${turned ? 'turned' : 'replaced'}`}
      figures={[
        ['slope of the part between', degrees(slope)],
        ['its length along the slope', length(Math.hypot(rear.x - front.x, rear.z - front.z))],
        turned
          ? ['frame gets shorter by', length(flatRun(middle) - (rear.x - front.x))]
          : ['frame keeps its length', length(0)],
        ...(turned && wedge
          ? [
              [
                `wedge out at the ${up ? 'rear' : 'front'} cut`,
                length((wedge.front.lean - wedge.rear.lean) * depth),
              ] as const,
            ]
          : []),
      ]}
    >
      <path d={`M12 ${a}H90V${a + 32}H12Z`} {...steel} />
      <path d={`M90 ${a}L174 ${b}V${b + 32}L90 ${a + 32}Z`} {...between} />
      <path d={`M174 ${b}H${W - 12}V${b + 32}H174Z`} {...steel} />
      {turned && <path d={up ? `M174 ${b}L168 ${b + 33}H180Z` : `M90 ${a}L84 ${a + 33}H96Z`} {...cut} />}
      <text x={W / 2} y={93} textAnchor="middle" {...note}>
        {turned ? 'turned, top edges meet' : 'new piece'}
      </text>
    </SketchFigure>
  );
}

/** The ends of a piece on its mean top edge, present. */
function ends(piece: Piece) {
  return [
    spine(piece, faceTop(piece, piece.front, 'rear'), 'rear'),
    spine(piece, faceTop(piece, piece.rear, 'front'), 'front'),
  ] as const;
}

/** How far a piece runs along the frame before it was turned. */
const flatRun = (piece: Piece): number => faceTop(piece, piece.rear, 'front') - faceTop(piece, piece.front, 'rear');
