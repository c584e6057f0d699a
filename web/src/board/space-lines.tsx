import type { LengthFormat, SpaceDimension, Vec3 } from '@splay/core';
import { useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import { BufferAttribute, BufferGeometry } from 'three';
import { spaceLabel } from './space-label.ts';

const METER = 1e-3;
/** How tall a label is, as a share of the height of the view. */
const TALL = 0.034;
/** How far along its line the figure of each stands, so that none hides another from the side. */
const FIGURE_AT = { CA: 0.5, WB: 0.15, Overall: 0.92 } as const;
/** Half of the strokes across the ends of a line, mm. */
const STROKE = 60;

const inMeters = (points: readonly Vec3[]) => points.flatMap(({ x, y, z }) => [x * METER, y * METER, z * METER]);

/** The line of a length, what it is taken from, and the strokes at its ends, as pairs of points. */
function linesOf({ from, to, outFrom }: SpaceDimension): readonly Vec3[] {
  const ends = [from, to].flatMap((end) => [
    { ...end, y: outFrom },
    { ...end, y: end.y - STROKE },
    { x: end.x - STROKE, y: end.y + STROKE, z: end.z },
    { x: end.x + STROKE, y: end.y - STROKE, z: end.z },
  ]);
  return [from, to, ...ends];
}

/** A length on the ground beside the frame, its figure always turned to whoever looks. */
export function SpaceLine({ line, format }: { readonly line: SpaceDimension; readonly format: LengthFormat }) {
  const { invalidate } = useThree();
  const geometry = useMemo(() => {
    const made = new BufferGeometry();
    made.setAttribute('position', new BufferAttribute(new Float32Array(inMeters(linesOf(line))), 3));
    return made;
  }, [line]);
  const label = useMemo(() => spaceLabel(line.name, line.length, format), [line.name, line.length, format]);
  useEffect(() => {
    invalidate();
    return () => geometry.dispose();
  }, [geometry, invalidate]);
  useEffect(() => () => label.texture.dispose(), [label]);
  const { from, to } = line;
  const at = (from.x + (to.x - from.x) * FIGURE_AT[line.name]) * METER;
  return (
    <>
      <lineSegments geometry={geometry}>
        <lineBasicMaterial color="#33322e" />
      </lineSegments>
      <sprite position={[at, from.y * METER, from.z * METER]} scale={[TALL * label.aspect, TALL, 1]} renderOrder={2}>
        <spriteMaterial map={label.texture} sizeAttenuation={false} depthTest={false} toneMapped={false} />
      </sprite>
    </>
  );
}
