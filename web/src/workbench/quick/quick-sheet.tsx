import { isMet, type LengthFormat, type QuickAnswer, type QuickChange, type QuickEntries } from '@splay/core';
import { Length } from '../../ui/length.tsx';
import { Quantity } from '../../ui/quantity.tsx';
import { Verdict } from '../../ui/verdict.tsx';

interface QuickSheetProps {
  readonly answer: QuickAnswer;
  readonly entries: QuickEntries;
}

/** The answer in one sentence. */
export function QuickHeadline({ answer: { by, cut }, entries: { display } }: QuickSheetProps) {
  if (cut.kind === 'none-needed')
    return <p className="heading text-3xl">Nothing to cut: it has that length already.</p>;
  return (
    <p className="heading text-3xl text-layout">
      {by > 0 ? 'Add ' : 'Take out '}
      <Length mm={Math.abs(by)} format={display} unit />
      {by > 0 ? ' to each rail' : ' of each rail'}
    </p>
  );
}

/** Where the cut goes, in donor stations behind the front axle. */
export function QuickPlace({ answer, entries: { display } }: QuickSheetProps) {
  const { cut } = answer;
  if (cut.kind === 'none-needed') return null;
  if (cut.kind === 'none-found')
    return (
      <div className="border-l-4 border-oxide bg-oxide-wash px-3 py-2">
        <Verdict kind="stop">No clear place for this change. {cut.why}</Verdict>
      </div>
    );
  return (
    <div className="space-y-1">
      {cut.cuts.map(({ x, from, to }) => (
        <p key={x}>
          Best cut{' '}
          <b>
            <Length mm={x} format={display} unit /> behind the front axle
          </b>
          , in a clear stretch from <Length mm={from} format={display} /> to <Length mm={to} format={display} unit />.{' '}
          <span className="text-pencil">{cut.says}</span>
        </p>
      ))}
      <NotProven answer={answer} />
    </div>
  );
}

/** What all of it rests on. */
function NotProven({ answer: { unmeasured } }: Pick<QuickSheetProps, 'answer'>) {
  const missing = unmeasured.map(({ measure }) => measure);
  return (
    <div className="border-l-4 border-ochre bg-ochre-wash px-3 py-1.5">
      <Verdict kind="warn">
        <b>Do not cut by it.</b> Every figure is assumed: a straight, level frame, both rails alike.
        {missing.length > 0 && ` Nobody has measured ${listText(missing)}.`}
      </Verdict>
    </div>
  );
}

const listText = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join('; ')}; ${words.at(-1)}`;

/** What else changes: each figure before and after, with the reason beside it. */
export function QuickFigures({ answer, entries: { display } }: QuickSheetProps) {
  const { lengths, steel, shaft, lines, diagonals, by } = answer;
  const changed = [...lengths, ...(shaft ? [shaft] : []), ...lines, ...diagonals.slice(0, 1).map(diagonalChange)];
  return (
    <>
      <table className="figures-stacked w-full border-collapse">
        <caption className="sr-only">Lengths before and after</caption>
        <thead>
          <tr className="border-b border-graphite text-left text-sm text-pencil">
            <th scope="col" className="font-normal">
              {display.unit === 'in' ? 'Inches' : 'Millimeters'}
            </th>
            <th scope="col" className="figures font-normal">
              now
            </th>
            <th scope="col" className="figures font-normal">
              finished
            </th>
            <th scope="col" className="figures font-normal">
              change
            </th>
          </tr>
        </thead>
        <tbody>
          {changed.map((change) => (
            <ChangeRow key={change.name} change={change} format={display} />
          ))}
        </tbody>
      </table>
      {steel.added.map(({ letters, length, cutTo, mass }) => (
        <p key={letters} className="mt-2">
          Blank for each rail:{' '}
          <b>
            <Length mm={length} format={display} unit />
          </b>{' '}
          finished, cut to <Length mm={cutTo} format={display} unit /> with weld gaps and saw kerf,{' '}
          <Quantity of="mass" value={mass} unit={display.unit} />. A stepped or angled end needs a longer blank.
        </p>
      ))}
      {by < 0 && steel.removed > 0 && (
        <p className="mt-2">
          Each rail loses{' '}
          <b>
            <Length mm={steel.removed} format={display} unit />
          </b>{' '}
          of steel, plus the saw kerf.
        </p>
      )}
    </>
  );
}

/** On a straight frame both diagonals are alike. */
const diagonalChange = ({ before, predicted }: QuickAnswer['diagonals'][number]): QuickChange => ({
  name: 'Both diagonals',
  before,
  after: predicted,
});

function ChangeRow({
  change: { name, before, after },
  format,
}: {
  readonly change: QuickChange;
  readonly format: LengthFormat;
}) {
  const cell = (mm: number | null, signed = false) =>
    mm === null ? 'not known' : <Length mm={mm} format={format} signed={signed} />;
  const by = before === null || after === null ? null : after - before;
  return (
    <tr className="border-b border-rule">
      <th scope="row" className="pr-2 text-left font-normal">
        {name}
      </th>
      <td className="figures">{cell(before)}</td>
      <td className="figures font-semibold">{cell(after)}</td>
      <td className="figures text-layout">{by === null || isMet(by) ? '–' : cell(by, true)}</td>
    </tr>
  );
}

/** What to measure before any of it is trusted. */
export function MeasureFirst({ answer: { measureFirst } }: Pick<QuickSheetProps, 'answer'>) {
  return (
    <section aria-labelledby="measure-first">
      <h2 id="measure-first" className="heading text-xl">
        Measure these before you trust any of it
      </h2>
      <ol className="mt-1 list-decimal space-y-0.5 pl-6">
        {measureFirst.map(({ id, what, answers }) => (
          <li key={id}>
            <b>{what}</b>
            <span className="text-pencil">: {answers}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
