import { Colors, DxfWriter, point3d, Units } from '@tarikjabiri/dxf';
import { DRAWING_LAYERS, type DrawingLayer, type Shape } from './drawing.ts';

const COLORS: Readonly<Record<DrawingLayer, number>> = {
  DONOR: 8,
  BUILT: Colors.White,
  NEW: Colors.Blue,
  CUT_AWAY: Colors.Red,
  CROSSMEMBERS: 9,
  MEMBERS: 9,
  FEATURES: Colors.White,
  AXLES: 8,
  CUTS: Colors.Red,
  PARTS: Colors.White,
  PART_HOLES: Colors.Blue,
  PART_LINES: 8,
  TEXT: Colors.White,
};

/**
 * A drawing as DXF text, real size in millimeters, one layer for each meaning.
 *
 * @param shapes What is drawn, mm.
 */
export function writeDxf(shapes: readonly Shape[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const layer of DRAWING_LAYERS) dxf.addLayer(layer, COLORS[layer], 'Continuous');
  for (const shape of shapes) {
    dxf.setCurrentLayerName(shape.layer);
    switch (shape.kind) {
      case 'outline':
        dxf.addLWPolyline(
          shape.points.map(([x, y]) => ({ point: { x, y } })),
          { flags: 1 },
        );
        break;
      case 'line':
        dxf.addLine(point3d(...shape.from), point3d(...shape.to));
        break;
      case 'circle':
        dxf.addCircle(point3d(...shape.center), shape.radius);
        break;
      case 'text':
        dxf.addText(point3d(...shape.at), shape.height, shape.text);
        break;
    }
  }
  return dxf.stringify();
}
