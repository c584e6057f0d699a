import { LAYER_COLOURS, type SceneLayer, type SceneMesh } from '@splay/core';
import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useRef } from 'react';
import { BufferAttribute, BufferGeometry, Color, DoubleSide, Vector3 } from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';

export type ViewFrom = 'corner' | 'side' | 'above' | 'rear';

interface SpaceViewProps {
  readonly scene: readonly SceneMesh[];
  readonly hidden: readonly SceneLayer[];
  /** Points of findings, frame coordinates, mm. */
  readonly found: readonly (readonly [x: number, y: number, z: number])[];
  /** Gap that the pieces are drawn apart by, mm. */
  readonly open: number;
  /** A new object turns the view there again. */
  readonly from: { readonly view: ViewFrom };
}

/** Where the camera stands, from the middle of what is drawn, in its own size; the frame lies with its front to the left. */
const DIRECTIONS: Readonly<Record<ViewFrom, readonly [number, number, number]>> = {
  corner: [-0.6, -0.9, 0.5],
  side: [0, -1.25, 0.02],
  above: [0, -0.02, 1.25],
  rear: [1.1, 0, 0.2],
};
const METRE = 1e-3;

/** The frame in space, drawn on demand: nothing runs while nobody turns it. */
export function SpaceView({ scene, hidden, found, open, from }: SpaceViewProps) {
  return (
    <Canvas
      frameloop="demand"
      camera={{ up: [0, 0, 1], fov: 38, near: 0.05, far: 200 }}
      role="img"
      aria-label="The frame in space; drag to turn, pinch or wheel to come nearer. The tables of the board say the same."
    >
      <hemisphereLight args={['#fffaf0', '#8a8272', 2.2]} position={[0, 0, 1]} />
      <directionalLight position={[-3, -5, 6]} intensity={1.6} />
      <Camera scene={scene} from={from} />
      {scene
        .filter(({ layer }) => !hidden.includes(layer))
        .map((mesh) => (
          <OneMesh key={`${mesh.layer} ${mesh.piece}`} mesh={mesh} shift={(mesh.piece ?? 0) * open * METRE} />
        ))}
      {found.map(([x, y, z]) => (
        <mesh key={`${x} ${y} ${z}`} position={[x * METRE, y * METRE, z * METRE]} renderOrder={1}>
          <sphereGeometry args={[0.06, 20, 12]} />
          <meshBasicMaterial color="#b3261e" transparent opacity={0.75} depthTest={false} />
        </mesh>
      ))}
    </Canvas>
  );
}

function OneMesh({ mesh, shift }: { readonly mesh: SceneMesh; readonly shift: number }) {
  const { invalidate } = useThree();
  const geometry = useMemo(() => {
    const made = new BufferGeometry();
    made.setAttribute('position', new BufferAttribute(new Float32Array(mesh.positions.map((mm) => mm * METRE)), 3));
    made.setIndex(new BufferAttribute(new Uint32Array(mesh.indices), 1));
    return made;
  }, [mesh]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  useEffect(() => invalidate(), [invalidate, shift, geometry]);
  const [red, green, blue, solid] = LAYER_COLOURS[mesh.layer];
  const colour = useMemo(() => new Color(red, green, blue), [red, green, blue]);
  return (
    <mesh geometry={geometry} position={[shift, 0, 0]}>
      <meshStandardMaterial
        color={colour}
        flatShading
        roughness={0.9}
        side={DoubleSide}
        transparent={solid < 1}
        opacity={solid}
        depthWrite={solid === 1}
      />
    </mesh>
  );
}

/** The camera and the hand that turns it. */
function Camera({ scene, from }: Pick<SpaceViewProps, 'scene' | 'from'>) {
  const { camera, gl, invalidate } = useThree();
  const controls = useRef<OrbitControls | null>(null);
  const { middle, size } = useMemo(() => extentOf(scene), [scene]);
  const place = useRef({ middle, size });
  // Before the camera is set: an edit moves what is drawn, and not where one looks from.
  useEffect(() => {
    place.current = { middle, size };
  }, [middle, size]);
  useEffect(() => {
    const made = new OrbitControls(camera, gl.domElement);
    made.addEventListener('change', () => invalidate());
    controls.current = made;
    return () => made.dispose();
  }, [camera, gl, invalidate]);
  useEffect(() => {
    const { middle: at, size: big } = place.current;
    const [x, y, z] = DIRECTIONS[from.view];
    camera.position.copy(at).add(new Vector3(x, y, z).multiplyScalar(big));
    camera.lookAt(at);
    if (controls.current) {
      controls.current.target.copy(at);
      controls.current.update();
    }
    invalidate();
  }, [camera, from, invalidate]);
  return null;
}

/** The middle of what is drawn and its length, m. */
function extentOf(scene: readonly SceneMesh[]): { readonly middle: Vector3; readonly size: number } {
  const [low, high] = [new Vector3(Infinity, Infinity, Infinity), new Vector3(-Infinity, -Infinity, -Infinity)];
  for (const { positions } of scene)
    for (let at = 0; at < positions.length; at += 3) {
      const point = new Vector3(positions[at], positions[at + 1], positions[at + 2]);
      low.min(point);
      high.max(point);
    }
  if (!Number.isFinite(low.x)) return { middle: new Vector3(), size: 5 };
  return {
    middle: low
      .clone()
      .add(high)
      .multiplyScalar(METRE / 2),
    size: Math.max(1, low.distanceTo(high) * METRE),
  };
}
