import type { MeasuringTask } from '@splay/core';

const STATES: Readonly<Record<MeasuringTask['state'], readonly [word: string, className: string]>> = {
  there: ['measured', 'text-passed'],
  partly: ['in part', 'text-ochre'],
  missing: ['to do', 'text-oxide'],
};

type Asked = Pick<MeasuringTask, 'id' | 'what' | 'where' | 'answers' | 'state'>;

interface TaskTableProps<T extends Asked> {
  readonly caption: string;
  readonly asks: readonly T[];
  readonly onPick: (ask: T) => void;
}

/** What to measure, in order: what, where, for which answer, and how far it is there. */
export function TaskTable<T extends Asked>({ caption, asks, onPick }: TaskTableProps<T>) {
  return (
    <table className="w-full border-collapse text-[0.92rem]">
      <caption className="sr-only">{caption}</caption>
      <thead className="sr-only">
        <tr>
          <th scope="col">What, where, and which answers wait for it</th>
          <th scope="col">State</th>
        </tr>
      </thead>
      <tbody>
        {asks.map((ask) => {
          const [word, className] = STATES[ask.state];
          return (
            <tr key={ask.id} className="border-b border-rule/60 align-top">
              <td className="py-1 pr-3">
                <button type="button" className="text-left hover:underline" onClick={() => onPick(ask)}>
                  {ask.what}
                </button>
                <span className="block text-sm text-pencil">
                  {ask.where}
                  {ask.state !== 'there' && <> · for {ask.answers}</>}
                </span>
              </td>
              <td
                className={`py-1 text-right font-semibold whitespace-nowrap pointer-coarse:align-middle ${className}`}
              >
                {word}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
