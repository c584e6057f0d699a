import { cut, degrees, fresh, lengthsOf, note, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

/** Lengths below this are none, mm. */
const NONE = 0.05;

/** A step: the part between turned or replaced, its slope, and what it does to the length of the frame. */
export function StepSketch({ operation, figures, job }: SketchOf<'step'>) {
  const { one } = lengthsOf(job);
  const { slope, length, shorter, wedge, opening } = figures;
  const turned = operation.method === 'turn-middle';
  const up = operation.rise > 0;
  const [a, b] = up ? [50, 18] : [18, 50];
  return (
    <SketchFigure
      name={`Step ${up ? 'up' : 'down'}, the part between ${turned ? 'turned' : 'replaced'}`}
      figures={[
        [slope < 0 ? 'the part between falls at' : 'the part between rises at', degrees(slope)],
        ['its length along the slope', one(length)],
        Math.abs(shorter) < NONE
          ? ['the frame', 'keeps its length']
          : [`the frame gets ${shorter > 0 ? 'shorter' : 'longer'} by`, one(Math.abs(shorter))],
        ...(wedge > NONE ? [[`wedge out at the ${up ? 'rear' : 'front'} cut`, one(wedge)] as const] : []),
        ...(opening > NONE ? [['opens at the bottom of the other cut', one(opening)] as const] : []),
      ]}
    >
      <path d={`M12 ${a}H90V${a + 32}H12Z`} {...steel} />
      <path d={`M90 ${a}L174 ${b}V${b + 32}L90 ${a + 32}Z`} {...(turned ? steel : fresh)} />
      <path d={`M174 ${b}H${W - 12}V${b + 32}H174Z`} {...steel} />
      {turned && <path d={up ? `M174 ${b}L168 ${b + 33}H180Z` : `M90 ${a}L84 ${a + 33}H96Z`} {...cut} />}
      <text x={W / 2} y={93} textAnchor="middle" {...note}>
        {turned ? 'turned, top edges meet' : 'new piece'}
      </text>
    </SketchFigure>
  );
}
