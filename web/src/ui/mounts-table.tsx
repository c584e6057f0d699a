import { type Assumption, isBeside, type LengthFormat, lengthText, type MountingOutcome } from '@splay/core';
import { Length } from './length.tsx';
import { LAYER_WORDS } from './mounting-words.ts';

const HEADS = [
  'Turn',
  'Mount',
  'From the datum',
  'Bracket',
  'Over all, or top over the rail',
  'Under it',
  'Over it',
  'Straightedge',
  'Hole',
  'Bolt, grip',
  'Of what is allowed',
];

/** How the holes and heights are carried over, said wherever the mounts stand in a table. */
export const MAKING_RULES =
  'Corners first: they set height and level. Lay a straightedge over their brackets and bring those between to it. Punch each hole through from the body’s bracket, measure the punch marks against each other, then drill: pilot, half, full size. Heights are with bushings squeezed at rest; bolts are not drawn tight in them.';

interface MountsTableProps {
  readonly caption: string;
  readonly outcomes: readonly MountingOutcome[];
  /** Built station of the datum hole, mm. */
  readonly datum: number;
  readonly format: LengthFormat;
  readonly onPick?: (outcome: MountingOutcome) => void;
}

/** Mounts in the order in which they are made: bracket, stack, the hole that is carried over, and its bolt. */
export function MountsTable({ caption, outcomes, datum, format, onPick }: MountsTableProps) {
  const show = (mm: number) => lengthText(mm, format, true);
  const stack = (layers: MountingOutcome['over']) =>
    layers.length === 0 ? '–' : layers.map((layer) => `${LAYER_WORDS[layer.kind]} ${show(layer.loaded)}`).join(', ');
  return (
    <table className="figures-table w-full text-sm">
      <caption className="sr-only">{caption}</caption>
      <thead className="text-left text-pencil">
        <tr className="border-b border-graphite">
          {HEADS.map((head) => (
            <th key={head} scope="col" className="py-1 pr-3 align-bottom font-normal">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {outcomes
          .toSorted((a, b) => a.turn.turn - b.turn.turn)
          .map((outcome) => {
            const { seat, tag, name, height, under, over, offLine, bolt, grip, checks, turn, decided } = outcome;
            const [worst] = checks;
            const title = (
              <>
                {tag} <span className="font-normal">{seat.mount.name}</span>
              </>
            );
            return (
              <tr key={seat.mount.id} className="border-b border-rule align-baseline">
                <td className="figures pr-3">{turn.turn}</td>
                <th scope="row" className="py-1.5 pr-3 text-left font-semibold">
                  {onPick ? (
                    <button type="button" className="text-left hover:underline" onClick={() => onPick(outcome)}>
                      {title}
                    </button>
                  ) : (
                    title
                  )}
                  {onPick && <span className="block text-xs font-normal text-pencil">{turn.why}</span>}
                </th>
                <td className="figures pr-3">
                  <Length mm={seat.at.x - datum} format={format} />
                </td>
                <td className="pr-3">
                  {name}
                  {!decided && <span className="text-pencil"> (proposed)</span>}
                </td>
                <td className="figures pr-4 font-semibold whitespace-nowrap">
                  {height === null || outcome.mounting.bracket.form === 'none' ? (
                    '–'
                  ) : (
                    <Length mm={height} format={format} signed={isBeside(outcome.mounting.bracket)} />
                  )}
                </td>
                <td className="pr-3">{stack(under)}</td>
                <td className="pr-3">{stack(over)}</td>
                <td className="figures pr-4 whitespace-nowrap">
                  {offLine === null ? '–' : <Length mm={offLine} format={format} signed />}
                </td>
                <td className="figures pr-3">
                  {seat.mount.hole === undefined ? (
                    'not measured'
                  ) : seat.mount.hole === 0 ? (
                    'none'
                  ) : (
                    <Length mm={seat.mount.hole} format={format} />
                  )}
                </td>
                <td className="pr-3">{bolt ? `${bolt.name}${grip === null ? '' : `, ${show(grip)}`}` : '–'}</td>
                <td className={`figures ${outcome.problems.length > 0 ? 'text-oxide' : ''}`}>
                  {outcome.problems.length > 0
                    ? 'cannot be so'
                    : worst
                      ? `${Math.ceil(worst.ratio * 100)} %${onPick ? `, ${worst.what}` : ''}`
                      : outcome.share === null
                        ? 'load not known'
                        : '–'}
                </td>
              </tr>
            );
          })}
      </tbody>
    </table>
  );
}

/** What the strength of brackets rests on, each with its value and where that comes from. */
export function MountAssumptions({ assumptions }: { readonly assumptions: readonly Assumption[] }) {
  if (assumptions.length === 0) return null;
  return (
    <p className="mt-2 text-xs text-pencil">
      Brackets are calculated by leverage; side loads are neglected. Based on:{' '}
      {assumptions
        .map(
          ({ what, value, source, changed }) =>
            `${what.toLowerCase()} ${value} (${changed ? 'set by the shop' : source})`,
        )
        .join('; ')}
      . No approval: an engineer’s figures rule.
    </p>
  );
}
