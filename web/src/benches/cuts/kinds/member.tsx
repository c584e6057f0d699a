import type { Job, PlanResult } from '@splay/core';
import { Choice } from '../../../ui/choice.tsx';
import { Length } from '../../../ui/length.tsx';
import type { Fields } from '../field-props.ts';
import { degrees } from '../sketches/sketch-figure.tsx';
import type { KindView } from './kind-view.ts';

const WHATS = [
  ['refit', 're-fit a member'],
  ['remove', 'take a member out'],
  ['remake-brace', 'remake a brace'],
  ['remove-brace', 'take a brace off'],
] as const;

/** What is done to a member beside the rails, or to a brace. */
function MemberFields({ operation, job, result, disabled, onChange }: Fields<'member'>) {
  const { change } = operation;
  const { members, braces } = job.donor;
  const member = 'member' in change ? change.member : (members[0]?.id ?? 'none');
  const brace = 'brace' in change ? change.brace : (braces[0]?.id ?? 'none');
  const choices = WHATS.filter(([what]) => (what.endsWith('brace') ? braces : members).length > 0);
  return (
    <>
      <Choice
        label="What"
        value={change.what}
        disabled={disabled}
        choices={choices}
        onChange={(what) =>
          onChange({
            ...operation,
            change: what === 'refit' || what === 'remove' ? { what, member } : { what, brace },
          })
        }
      />
      <Choice
        label="Which"
        value={'member' in change ? change.member : change.brace}
        disabled={disabled}
        choices={('member' in change ? members : braces).map(({ id, name }) => [id, name] as const)}
        onChange={(id) =>
          onChange({ ...operation, change: 'member' in change ? { ...change, member: id } : { ...change, brace: id } })
        }
      />
      {'member' in change && <RefitFigures id={change.member} job={job} result={result} />}
    </>
  );
}

/** What comes out of each leg that is re-fitted, or goes in, and how it turns at its ends. */
function RefitFigures({ id, job, result }: { readonly id: string; readonly job: Job; readonly result: PlanResult }) {
  const outcome = result.members.find(({ member }) => member.id === id);
  const [copy] = outcome?.copies ?? [];
  if (!copy?.refit) return null;
  const { refit } = copy;
  const length = (mm: number) => <Length mm={Math.abs(mm)} format={job.display} className="font-semibold" />;
  const ends = [
    ['front', refit.front],
    ['rear', refit.rear],
  ] as const;
  return (
    <dl className="grid grid-cols-[1fr_auto] gap-x-3 border border-rule bg-paper px-2 py-1 text-sm">
      <dt className="text-pencil">length of each leg</dt>
      <dd className="text-right">
        {length(refit.before)} → {length(refit.after)}
      </dd>
      <dt className="text-pencil">{refit.out < 0 ? 'goes in' : 'comes out'}</dt>
      <dd className="text-right">{length(refit.out)}</dd>
      {ends.map(([end, turn]) => (
        <div key={end} className="contents">
          <dt className="text-pencil">{end} end turns, wedge sideways</dt>
          <dd className="text-right">
            {degrees(turn.true)}, {length(turn.wedge.plan.symmetric)}
          </dd>
        </div>
      ))}
    </dl>
  );
}

export const member: KindView<'member'> = { Fields: MemberFields, Sketch: () => null, figure: () => '' };
