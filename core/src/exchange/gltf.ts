import { Document, NodeIO } from '@gltf-transform/core';
import { LAYER_COLORS } from './layer-colors.ts';
import type { SceneMesh } from './scene.ts';

const MM = 1e-3;

/**
 * A scene as binary glTF: meters, y up, x to the rear, a node for each layer of each piece.
 *
 * @param meshes The scene, mm.
 * @param name What it is called.
 */
export async function writeGlb(meshes: readonly SceneMesh[], name: string): Promise<Uint8Array<ArrayBuffer>> {
  const document = new Document();
  document.getRoot().getAsset().generator = 'Splay';
  const buffer = document.createBuffer();
  const scene = document.createScene(name);
  const materials = new Map(
    Object.entries(LAYER_COLORS).map(([layer, color]) => {
      const material = document
        .createMaterial(layer)
        .setBaseColorFactor([...color])
        .setMetallicFactor(0)
        .setRoughnessFactor(0.9);
      return [layer, color[3] < 1 ? material.setAlphaMode('BLEND').setDoubleSided(true) : material];
    }),
  );
  for (const { layer, piece, positions, indices } of meshes) {
    const points = new Float32Array(positions.length);
    for (let at = 0; at < positions.length; at += 3) {
      points[at] = (positions[at] as number) * MM;
      points[at + 1] = (positions[at + 2] as number) * MM;
      points[at + 2] = -(positions[at + 1] as number) * MM;
    }
    const corners = document.createAccessor().setType('VEC3').setArray(points).setBuffer(buffer);
    const order = document.createAccessor().setType('SCALAR').setArray(new Uint32Array(indices)).setBuffer(buffer);
    const primitive = document
      .createPrimitive()
      .setAttribute('POSITION', corners)
      .setIndices(order)
      .setMaterial(materials.get(layer) ?? null);
    const called = piece === null ? layer : `${layer}, piece ${piece + 1}`;
    scene.addChild(document.createNode(called).setMesh(document.createMesh(called).addPrimitive(primitive)));
  }
  for (const [layer, material] of materials) if (meshes.every((mesh) => mesh.layer !== layer)) material.dispose();
  return (await new NodeIO().writeBinary(document)) as Uint8Array<ArrayBuffer>;
}
