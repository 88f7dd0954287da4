import { strToU8, zipSync } from 'fflate';
import type { Solid } from '../print/solid.ts';

/** Solids as files printers' programs read. Both formats are open; lengths are in mm. */

const HEADER = 80;
const FACET = 50;

/** Binary STL: 80 bytes of name, then a normal and three corners for each triangle. It has no units: mm by custom. */
export function stlOf(name: string, { corners, triangles }: Solid): Uint8Array {
  const count = triangles.length / 3;
  const bytes = new Uint8Array(HEADER + 4 + count * FACET);
  const view = new DataView(bytes.buffer);
  /* "solid" at the start would be taken for the text form. */
  bytes.set(strToU8(`mm ${name}`.slice(0, HEADER).replace(/[^\x20-\x7e]/g, ' ')));
  view.setUint32(HEADER, count, true);
  for (let i = 0; i < count; i += 1) {
    const p = [0, 1, 2].map((k) => {
      const at = triangles[3 * i + k]! * 3;
      return [corners[at]!, corners[at + 1]!, corners[at + 2]!] as const;
    });
    const [a, b, c] = p as [(typeof p)[0], (typeof p)[0], (typeof p)[0]];
    const u = [b![0] - a![0], b![1] - a![1], b![2] - a![2]] as const;
    const v = [c![0] - a![0], c![1] - a![1], c![2] - a![2]] as const;
    const n = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const long = Math.hypot(...n) || 1;
    let at = HEADER + 4 + i * FACET;
    for (const value of [...n.map((each) => each / long), ...p.flat()]) {
      view.setFloat32(at, value, true);
      at += 4;
    }
  }
  return bytes;
}

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** 3MF (core specification 1.3): a zip with the model, its unit, and an object with a name for each solid. */
export function threeMfOf(name: string, solids: readonly Solid[]): Uint8Array {
  const objects = solids.map(({ corners, triangles }, i) => {
    const vertices: string[] = [];
    for (let k = 0; k < corners.length; k += 3)
      vertices.push(`<vertex x="${corners[k]}" y="${corners[k + 1]}" z="${corners[k + 2]}"/>`);
    const faces: string[] = [];
    for (let k = 0; k < triangles.length; k += 3)
      faces.push(
        `<triangle v1="${triangles[k]}" v2="${triangles[k + 1]}" v3="${triangles[k + 2]}"/>`,
      );
    const own = solids.length === 1 ? name : `${name}, piece ${i + 1} of ${solids.length}`;
    return `<object id="${i + 1}" name="${escaped(own)}" type="model"><mesh><vertices>${vertices.join('')}</vertices><triangles>${faces.join('')}</triangles></mesh></object>`;
  });
  const model = `<?xml version="1.0" encoding="UTF-8"?>
<model unit="millimeter" xml:lang="en-US" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02"><metadata name="Title">${escaped(name)}</metadata><resources>${objects.join('')}</resources><build>${solids.map((_, i) => `<item objectid="${i + 1}"/>`).join('')}</build></model>`;
  return zipSync({
    '[Content_Types].xml': strToU8(
      '<?xml version="1.0" encoding="UTF-8"?>\n<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>',
    ),
    '_rels/.rels': strToU8(
      '<?xml version="1.0" encoding="UTF-8"?>\n<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Target="/3D/3dmodel.model" Id="rel0" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>',
    ),
    '3D/3dmodel.model': strToU8(model),
  });
}
