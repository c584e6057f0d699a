import { type CutLine, type LengthFormat, type MarkSheet, operationName, SIDES } from '@splay/core';
import { Length } from './length.tsx';

export const KERF_WORDS = { ahead: 'ahead of the line', behind: 'behind the line', line: 'on the line' } as const;

interface MarksTablesProps {
  readonly sheet: MarkSheet;
  readonly display: LengthFormat;
}

/** The marks of both rails, the checks that prove them, and the new steel: the same on screen and on paper. */
export function MarksTables({ sheet, display }: MarksTablesProps) {
  const length = (mm: number) => <Length mm={mm} format={display} />;
  if (sheet.lines.length === 0 && sheet.punches.length === 0)
    return (
      <p className="text-pencil">Nothing to mark yet: the plan cuts nothing. Add an operation on the Cuts bench.</p>
    );
  return (
    <div className="space-y-4">
      {SIDES.map((side) => (
        <table key={side} className="marks w-full border-collapse">
          <caption className="heading mb-1 text-left text-lg">{side === 'left' ? 'Left rail' : 'Right rail'}</caption>
          <thead>
            <tr className="border-b border-graphite text-sm text-pencil">
              <Head>Mark</Head>
              <Head>Blade</Head>
              <Head right>Top edge</Head>
              <Head right>Web</Head>
              <Head right>Bottom edge</Head>
              <Head right>Level</Head>
            </tr>
          </thead>
          <tbody>
            {sheet.lines
              .filter((line) => line.side === side)
              .map((line, index) => (
                <tr key={index} className="border-b border-rule/70" data-mark={`${side} ${line.letters}`}>
                  <th scope="row" className="py-1 pr-2 text-left font-normal">
                    <b className="heading mr-1.5 text-lg text-layout">{line.letters.replace(' ', '·')}</b>
                    <span className="text-sm">{lineName(line)}</span>
                  </th>
                  <td className="pr-2 text-sm">{KERF_WORDS[line.kerf]}</td>
                  <td className="pl-3 text-right text-lg font-semibold">{length(line.from.top)}</td>
                  <td className="pl-3 text-right">{length(line.from.web)}</td>
                  <td className="pl-3 text-right">{length(line.from.bottom)}</td>
                  <td className="pl-3 text-right text-pencil">{length(line.from.level)}</td>
                </tr>
              ))}
            {sheet.punches
              .filter((punch) => punch.side === side)
              .map((punch) => (
                <tr key={punch.name} className="border-b border-rule/70">
                  <th scope="row" className="py-1 pr-2 text-left text-sm font-normal">
                    ⊕ {punch.name}
                  </th>
                  <td className="pr-2 text-sm">
                    punch, drill {length(punch.diameter)}, down {length(punch.down)}
                  </td>
                  <td />
                  <td className="text-right font-semibold">{length(punch.from.web)}</td>
                  <td />
                  <td className="text-right text-pencil">{length(punch.from.level)}</td>
                </tr>
              ))}
          </tbody>
        </table>
      ))}

      {sheet.newPieces.length > 0 && (
        <table className="marks w-full border-collapse">
          <caption className="heading mb-1 text-left text-lg">New rail to cut</caption>
          <thead>
            <tr className="border-b border-graphite text-sm text-pencil">
              <Head>Between</Head>
              <Head>Side</Head>
              <Head right>As planned</Head>
              <Head right>Kerf to make good</Head>
              <Head right>Cut to</Head>
            </tr>
          </thead>
          <tbody>
            {sheet.newPieces.map((piece) => (
              <tr key={piece.letters + piece.side} className="border-b border-rule/70">
                <th scope="row" className="heading py-1 text-left text-lg text-layout">
                  {piece.letters.replace(' ', '·')}
                </th>
                <td>{piece.side}</td>
                <td className="text-right">{length(piece.length)}</td>
                <td className="text-right">{piece.kerf > 0 ? length(piece.kerf) : '–'}</td>
                <td className="text-right text-lg font-semibold">{length(piece.length + piece.kerf)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}

      <table className="marks w-full border-collapse">
        <caption className="heading mb-1 text-left text-lg">Check the marks before cutting</caption>
        <tbody>
          {sheet.checks.map((check) => (
            <tr key={check.name} className="border-b border-rule/70">
              <td className="py-0.5 text-sm text-pencil">{check.kind}</td>
              <th scope="row" className="text-left font-normal">
                {check.name}
              </th>
              <td className="text-right font-semibold">{length(check.distance)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-sm text-pencil">
        Top edge and bottom edge: tape laid on the steel, outside face. Web: at half depth. Level: plumbed down. Root
        gap and weld shrinkage are not in these marks. Marks left and right must agree before any cut.
      </p>
    </div>
  );
}

/** What a line is for, in few words. */
export function lineName(line: CutLine): string {
  const name = operationName(line.operation).toLowerCase();
  if (line.operation.kind === 'shorten' || line.operation.kind === 'step')
    return `${name}, ${line.kerf === 'behind' ? 'front' : 'rear'} line`;
  return line.lean === 0 ? name : `${name}, leaning`;
}

function Head({ children, right = false }: { readonly children: string; readonly right?: boolean }) {
  return (
    <th scope="col" className={`py-0.5 font-normal whitespace-nowrap ${right ? 'pl-3 text-right' : 'pr-2 text-left'}`}>
      {children}
    </th>
  );
}
