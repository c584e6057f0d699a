import type { MarkSheet } from './marks.ts';
import { bold, figure, orDash, type SheetTable, words } from './sheet-table.ts';

/**
 * Plates and sleeves with where each goes on.
 *
 * @param sheet The sheet.
 */
export function partsTable(sheet: MarkSheet): SheetTable {
  return {
    id: 'parts',
    caption: 'Plates and sleeves to cut',
    measured:
      'Where each goes on: ahead of its joint and behind it, its lower edge over the underside. L and R are mirrored',
    columns: [
      words('', 3.6),
      words('From', 2),
      figure('Thick', 1),
      figure('Long'),
      figure('Wide'),
      figure('Weld'),
      bold('Ahead'),
      bold('Behind'),
      figure('Up', 1.2),
    ],
    rows: sheet.parts.map(({ part, ahead, behind, up }) => ({
      mark: part.mark,
      lettered: false,
      cells: [
        [part.name, part.note].filter((text) => text !== '').join(': '),
        part.offcut ?? part.stock,
        { mm: part.thickness },
        { mm: part.length },
        { mm: part.width },
        orDash(Math.round(part.weldLength)),
        { mm: ahead },
        { mm: behind },
        up === null ? '–' : { mm: up },
      ],
    })),
  };
}
