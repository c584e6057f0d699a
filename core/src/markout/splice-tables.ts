import type { Side } from '../frame/index.ts';
import type { MarkSheet } from './marks.ts';
import { bold, figure, orDash, railName, type SheetTable, words } from './sheet-table.ts';

/**
 * The lines of steps and angled cuts on one rail.
 *
 * @param sheet The sheet.
 * @param side Which rail.
 */
export function spliceLinesTable(sheet: MarkSheet, side: Side): SheetTable {
  return {
    id: `splices-${side}`,
    caption: `Steps and angled cuts, ${railName(side).toLowerCase()}`,
    measured: `From the ${sheet.datum.toLowerCase()} along the edge or the web; heights over the underside. Cut these lines, not the square one`,
    columns: [
      words('', 3),
      bold('Top edge'),
      bold('Web'),
      bold('Bottom edge'),
      figure('To'),
      figure('Height'),
      figure('Corners', 1.2),
    ],
    rows: sheet.spliceLines
      .filter((line) => line.side === side)
      .map((line) => ({
        mark: line.letters,
        lettered: true,
        cells: [
          line.what,
          { mm: line.from.top },
          { mm: line.from.web },
          { mm: line.from.bottom },
          line.to === null ? '–' : { mm: line.to },
          line.height === null ? '–' : { mm: line.height },
          orDash(line.radius, 'square'),
        ],
      })),
  };
}

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
