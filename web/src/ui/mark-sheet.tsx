import { dotted, type LengthFormat, type SheetBlock, type SheetCell, type SheetTable } from '@splay/core';
import { Length } from './length.tsx';
import { SheetPicture } from './sheet-drawing.tsx';

interface MarkSheetProps {
  readonly blocks: readonly SheetBlock[];
  readonly display: LengthFormat;
}

/** A figure of a table: words, or a length. */
export function SheetFigure({ cell, display }: { readonly cell: SheetCell; readonly display: LengthFormat }) {
  return typeof cell === 'string' ? cell : <Length mm={cell.mm} format={display} />;
}

/** The parts of a sheet one after the other, as they are on paper. */
export function MarkSheetBlocks({ blocks, display }: MarkSheetProps) {
  return (
    <div className="space-y-3">
      {blocks.map((block, index) => (
        <Block key={index} block={block} display={display} />
      ))}
    </div>
  );
}

function Block({ block, display }: { readonly block: SheetBlock; readonly display: LengthFormat }) {
  switch (block.kind) {
    case 'page':
      return <hr className="break-after-page border-graphite print:border-0" />;
    case 'heading':
      return <h2 className="heading break-after-avoid text-xl">{block.text}</h2>;
    case 'note':
      return <p className="text-sm text-pencil">{block.text}</p>;
    case 'drawings':
      return (
        <div
          className={`grid break-inside-avoid gap-5 ${block.drawings.length > 1 || block.titled ? 'sm:grid-cols-2 print:grid-cols-2' : ''}`}
        >
          {block.drawings.map((drawing) => (
            <figure key={drawing.title} className="min-w-0">
              {block.titled && <figcaption className="heading text-lg">{drawing.title}</figcaption>}
              <SheetPicture drawing={drawing} format={display} />
            </figure>
          ))}
        </div>
      );
    case 'table':
      return <OneTable table={block.table} yours={block.yours} display={display} />;
    case 'notes':
      return (
        <section className="break-inside-avoid">
          <h2 className="heading mb-1 text-lg">{block.title}</h2>
          <ul className="text-[0.95rem]">
            {block.notes.map(({ letters, text }) => (
              <li key={letters + text} className="border-b border-rule/70 py-0.5">
                <b className="heading mr-1.5 text-layout">{letters}</b>
                {text}
              </li>
            ))}
          </ul>
        </section>
      );
    case 'sign':
      return (
        <dl className="grid break-inside-avoid grid-cols-3 gap-6 pt-6 text-sm">
          {block.what.map((what) => (
            <div key={what} className="border-t border-graphite pt-0.5">
              <dt className="text-pencil">{what}</dt>
            </div>
          ))}
        </dl>
      );
  }
}

function OneTable({
  table,
  yours,
  display,
}: {
  readonly table: SheetTable;
  readonly yours: boolean;
  readonly display: LengthFormat;
}) {
  const looks = table.columns.map(({ figure, bold }) =>
    bold ? 'figures text-lg font-semibold' : figure ? 'figures' : 'min-w-24 pr-2 text-sm leading-tight',
  );
  return (
    <table className="marks w-full border-collapse break-inside-avoid" data-table={table.id}>
      <caption className="mb-1 text-left">
        <span className="heading block text-lg">{table.caption}</span>
        <span className="block text-xs text-pencil">{table.measured}.</span>
      </caption>
      <thead>
        <tr className="border-b border-graphite align-bottom text-sm text-pencil">
          <th scope="col" className="pr-2 text-left font-normal">
            <span className="sr-only">Mark</span>
          </th>
          {table.columns.map(({ title, figure }, at) => (
            <th key={at} scope="col" className={`py-0.5 font-normal ${figure ? 'figures' : 'pr-2 text-left'}`}>
              {title || <span className="sr-only">What</span>}
            </th>
          ))}
          {yours && (
            <th scope="col" className="w-28 text-left font-normal">
              yours
            </th>
          )}
        </tr>
      </thead>
      <tbody>
        {table.rows.map((row, index) => (
          <tr key={index} className="border-b border-rule/70" data-mark={`${table.id} ${row.mark}`}>
            <th scope="row" className="py-1 pr-2 text-left font-normal">
              {row.lettered ? <b className="heading text-lg text-layout">{dotted(row.mark)}</b> : row.mark}
            </th>
            {row.cells.map((cell, at) => (
              <td key={at} className={looks[at]}>
                <SheetFigure cell={cell} display={display} />
              </td>
            ))}
            {yours && (
              <td className="py-0.5">
                <span className="block h-6 w-24 border border-graphite" />
              </td>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
