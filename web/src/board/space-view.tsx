import { LAYER_COLORS, type LengthFormat, type SceneLayer, type SceneMesh, type SpaceDimension } from '@splay/core';
import { Canvas, useFrame, useThree } from '@react-three/fiber';
import { type RefObject, useEffect, useMemo, useRef } from 'react';
import { BufferAttribute, BufferGeometry, Color, EdgesGeometry, type Group, Vector3 } from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import { toCreasedNormals } from 'three/examples/jsm/utils/BufferGeometryUtils.js';
import { SpaceLine } from './space-lines.tsx';

export { labelFace } from './space-label.ts';

export type ViewFrom = 'corner' | 'side' | 'above' | 'rear';

/** A frame as it is drawn in space. */
export interface SpaceFrame {
  readonly scene: readonly SceneMesh[];
  /** Lengths beside it on the ground. */
  readonly lines: readonly SpaceDimension[];
  /** Points of findings, frame coordinates, mm. */
  readonly found: readonly (readonly [x: number, y: number, z: number])[];
}

interface SpaceViewProps {
  readonly before: SpaceFrame;
  readonly planned: SpaceFrame;
  /** How much of the view from the left shows the frame before, 0 to 1. */
  readonly share: number;
  readonly hidden: readonly SceneLayer[];
  readonly format: LengthFormat;
  /** Gap that the pieces are drawn apart by, mm. */
  readonly open: number;
  /** A new object turns the view there again. */
  readonly from: { readonly view: ViewFrom };
  /** Draws the view at once and gives its canvas, for a picture. */
  readonly drawRef: RefObject<(() => HTMLCanvasElement) | null>;
}

/** Where the camera stands, from the middle of what is drawn, in its own size; the frame lies with its front to the left. */
const DIRECTIONS: Readonly<Record<ViewFrom, readonly [number, number, number]>> = {
  corner: [-0.6, -0.9, 0.46],
  side: [0, -1.15, 0.02],
  above: [0, -0.02, 1.2],
  rear: [1.1, 0, 0.2],
};
const METER = 1e-3;
/** A view that is narrower for its height than this is looked at from farther away. */
const WIDE = 1.75;
/** Faces that meet at less than this are drawn as one round face, rad, and have no edge between them, degrees. */
const ROUND = 0.5;
const EDGE = 28;

/** The frame in space, drawn on demand: nothing runs while nobody turns it. */
export function SpaceView({ before, planned, share, hidden, format, open, from, drawRef }: SpaceViewProps) {
  const groups = { before: useRef<Group>(null), planned: useRef<Group>(null) };
  const extent = useMemo(() => extentOf([...before.scene, ...planned.scene]), [before.scene, planned.scene]);
  const { middle, size, ground } = extent;
  return (
    <Canvas
      frameloop="demand"
      shadows="percentage"
      camera={{ up: [0, 0, 1], fov: 34, near: 0.05, far: 200 }}
      role="img"
      aria-label="The frame in space; drag to turn, pinch or wheel to come nearer. The tables of the board say the same."
    >
      <hemisphereLight args={['#ffffff', '#b9b0a0', 1.9]} position={[0, 0, 1]} />
      <directionalLight
        position={[middle.x - size * 0.5, middle.y - size * 0.6, middle.z + size]}
        target-position={[middle.x, middle.y, middle.z]}
        intensity={2.2}
        castShadow
        shadow-mapSize={[2048, 2048]}
        shadow-bias={-0.0004}
        shadow-normalBias={0.004}
      >
        <orthographicCamera attach="shadow-camera" args={[-size, size, size, -size, 0.1, size * 4]} />
      </directionalLight>
      <Camera extent={extent} from={from} />
      <Halves groups={groups} share={share} drawRef={drawRef} />
      <mesh position={[middle.x, middle.y, ground - 0.002]} receiveShadow>
        <planeGeometry args={[size * 4, size * 4]} />
        <shadowMaterial opacity={0.16} />
      </mesh>
      {([before, planned] as const).map(({ scene, lines, found }, index) => (
        <group key={index} ref={index === 0 ? groups.before : groups.planned}>
          {scene
            .filter(({ layer }) => !hidden.includes(layer))
            .map((mesh) => (
              <OneMesh key={`${mesh.layer} ${mesh.piece}`} mesh={mesh} shift={(mesh.piece ?? 0) * open * METER} />
            ))}
          {lines.map((line) => (
            <SpaceLine key={line.name} line={line} format={format} />
          ))}
          {found.map(([x, y, z]) => (
            <mesh key={`${x} ${y} ${z}`} position={[x * METER, y * METER, z * METER]} renderOrder={1}>
              <sphereGeometry args={[0.06, 20, 12]} />
              <meshBasicMaterial color="#b3261e" transparent opacity={0.75} depthTest={false} />
            </mesh>
          ))}
        </group>
      ))}
    </Canvas>
  );
}

interface HalvesProps extends Pick<SpaceViewProps, 'share' | 'drawRef'> {
  readonly groups: Readonly<Record<'before' | 'planned', RefObject<Group | null>>>;
}

/** Draws the frame before to the left of a line and the planned one to the right of it, from the same place. */
function Halves({ groups, share, drawRef }: HalvesProps) {
  const { gl, scene, camera, size, invalidate } = useThree();
  const both = useRef(() => {});
  useEffect(() => {
    both.current = () => {
      const { width, height } = size;
      const half = (name: 'before' | 'planned', left: number, right: number) => {
        if (right <= left) return;
        for (const each of ['before', 'planned'] as const) {
          const group = groups[each].current;
          if (group) group.visible = each === name;
        }
        gl.setScissor(left, 0, right - left, height);
        gl.render(scene, camera);
      };
      gl.setScissorTest(true);
      half('before', 0, width * share);
      half('planned', width * share, width);
      gl.setScissorTest(false);
    };
    drawRef.current = () => {
      both.current();
      return gl.domElement;
    };
    invalidate();
  });
  // A priority of its own: nothing else draws the view.
  useFrame(() => both.current(), 1);
  return null;
}

function OneMesh({ mesh, shift }: { readonly mesh: SceneMesh; readonly shift: number }) {
  const { invalidate } = useThree();
  const { faces, edges } = useMemo(() => shapesOf(mesh), [mesh]);
  useEffect(
    () => () => {
      faces.dispose();
      edges.dispose();
    },
    [faces, edges],
  );
  useEffect(() => invalidate(), [invalidate, shift, faces]);
  const [red, green, blue, solid] = LAYER_COLORS[mesh.layer];
  const color = useMemo(() => new Color(red, green, blue), [red, green, blue]);
  return (
    <group position={[shift, 0, 0]}>
      <mesh geometry={faces} castShadow={solid === 1} receiveShadow>
        <meshStandardMaterial
          color={color}
          roughness={0.62}
          metalness={0.05}
          transparent={solid < 1}
          opacity={solid}
          depthWrite={solid === 1}
          polygonOffset
          polygonOffsetFactor={1}
          polygonOffsetUnits={1}
        />
      </mesh>
      <lineSegments geometry={edges}>
        <lineBasicMaterial color="#12110f" transparent opacity={0.6} />
      </lineSegments>
    </group>
  );
}

/** The faces of a mesh, smooth where they are round, and its edges, m. */
function shapesOf({ positions, indices }: SceneMesh): {
  readonly faces: BufferGeometry;
  readonly edges: BufferGeometry;
} {
  const plain = new BufferGeometry();
  plain.setAttribute('position', new BufferAttribute(new Float32Array(positions.map((mm) => mm * METER)), 3));
  plain.setIndex(new BufferAttribute(new Uint32Array(indices), 1));
  const made = { faces: toCreasedNormals(plain, ROUND), edges: new EdgesGeometry(plain, EDGE) };
  plain.dispose();
  return made;
}

/** The camera and the hand that turns it. */
function Camera({ extent, from }: Pick<SpaceViewProps, 'from'> & { readonly extent: Extent }) {
  const { camera, gl, size: view, invalidate } = useThree();
  const controls = useRef<OrbitControls | null>(null);
  const place = useRef(extent);
  const narrow = useRef(view.width / view.height);
  // Before the camera is set: an edit moves what is drawn, and not where one looks from.
  useEffect(() => {
    place.current = extent;
  }, [extent]);
  useEffect(() => {
    const made = new OrbitControls(camera, gl.domElement);
    made.addEventListener('change', () => invalidate());
    controls.current = made;
    return () => made.dispose();
  }, [camera, gl, invalidate]);
  useEffect(() => {
    const { middle: at, size: big } = place.current;
    const [x, y, z] = DIRECTIONS[from.view];
    const aspect = narrow.current;
    camera.position.copy(at).add(new Vector3(x, y, z).multiplyScalar(big * Math.max(1, WIDE / aspect)));
    camera.lookAt(at);
    if (controls.current) {
      controls.current.target.copy(at);
      controls.current.update();
    }
    invalidate();
  }, [camera, from, invalidate]);
  return null;
}

interface Extent {
  readonly middle: Vector3;
  readonly size: number;
  /** The lowest of what is drawn, m. */
  readonly ground: number;
}

/** The middle of what is drawn, its length and what it stands on, m. */
function extentOf(scene: readonly SceneMesh[]): Extent {
  const [low, high] = [new Vector3(Infinity, Infinity, Infinity), new Vector3(-Infinity, -Infinity, -Infinity)];
  for (const { positions } of scene)
    for (let at = 0; at < positions.length; at += 3) {
      const point = new Vector3(positions[at], positions[at + 1], positions[at + 2]);
      low.min(point);
      high.max(point);
    }
  if (!Number.isFinite(low.x)) return { middle: new Vector3(), size: 5, ground: 0 };
  return {
    middle: low
      .clone()
      .add(high)
      .multiplyScalar(METER / 2),
    size: Math.max(1, low.distanceTo(high) * METER),
    ground: low.z * METER,
  };
}
