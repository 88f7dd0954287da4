import { Colors, DxfWriter, point3d, Units } from '@tarikjabiri/dxf';
import type { Drawing, Layer } from '../make/drawing.ts';

/** Layers of a drawing, with the colours cutters tell them apart by. */
const colours: Readonly<Record<Layer, number>> = {
  cut: Colors.Red,
  drill: Colors.Blue,
  bend: Colors.Green,
  text: Colors.White,
  guide: Colors.Yellow,
};

/** A drawing as DXF (AutoCAD's open exchange format, version AC1021), millimetres, a layer for each sort of line. */
export function dxfOf(drawing: Drawing): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const [layer, colour] of Object.entries(colours)) dxf.addLayer(layer, colour, 'Continuous');
  for (const each of drawing.entities) {
    const on = { layerName: each.layer };
    switch (each.is) {
      case 'line':
        dxf.addLine(point3d(each.x1, each.y1), point3d(each.x2, each.y2), on);
        break;
      case 'arc':
        dxf.addArc(point3d(each.x, each.y), each.r, turned(each.from), turned(each.to), on);
        break;
      case 'circle':
        dxf.addCircle(point3d(each.x, each.y), each.r, on);
        break;
      case 'text':
        dxf.addText(point3d(each.x, each.y), each.high, each.words, on);
    }
  }
  return dxf.stringify();
}

const turned = (degrees: number): number => ((degrees % 360) + 360) % 360;
