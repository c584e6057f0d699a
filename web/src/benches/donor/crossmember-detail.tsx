import type { Crossmember } from '@splay/core';
import { Choice } from '../../ui/choice.tsx';
import { Length } from '../../ui/length.tsx';
import { QuantityField } from '../../ui/quantity-field.tsx';
import type { PartProps } from './donor-part.tsx';

interface CrossmemberDetailProps extends PartProps {
  readonly member: Crossmember;
  readonly index: number;
}

const REMOVABLE = [
  ['yes', 'yes'],
  ['no', 'no'],
] as const;

/** The crossmember that is picked: what does not fit in its row, and what the plan makes of it. */
export function CrossmemberDetail({ job, result, set, disabled, member, index }: CrossmemberDetailProps) {
  const put = (next: Crossmember) =>
    set('Edited a crossmember', (frame) => ({
      ...frame,
      crossmembers: frame.crossmembers.map((other, place) => (place === index ? next : other)),
    }));
  const withSection = (section: string): Crossmember => {
    const { section: _, ...plain } = member;
    return section === '' ? plain : { ...plain, section };
  };
  const outcome = result.crossmembers.find(({ crossmember }) => crossmember.id === member.id);
  return (
    <section aria-label={member.name} className="mb-3 border border-layout bg-layout-wash/50 px-3 pt-2 pb-3">
      <h3 className="heading flex flex-wrap items-baseline justify-between gap-x-3 text-lg">
        {member.name}
        {outcome && (
          <span className="font-text text-sm font-normal text-pencil">
            in the plan: {outcome.reason}
            {outcome.built && (
              <>
                , ends up{' '}
                <Length mm={outcome.built.x - result.datum.built} format={job.display} className="font-semibold" /> from
                the datum hole
              </>
            )}
          </span>
        )}
      </h3>
      <div className="mt-1 grid grid-cols-2 items-end gap-2">
        <Choice
          list
          label="Its section"
          value={member.section ?? ''}
          disabled={disabled}
          choices={[['', 'not one of the list'], ...job.donor.sections.map(({ id }) => [id, id] as const)]}
          onChange={(section) => put(withSection(section))}
        />
        <Choice
          list
          label="Removable"
          value={member.removable ? 'yes' : 'no'}
          disabled={disabled}
          choices={REMOVABLE}
          onChange={(answer) => put({ ...member, removable: answer === 'yes' })}
        />
        <QuantityField
          label={member.mass === undefined ? 'Mass, of its section' : 'Mass, as weighed'}
          of="mass"
          value={member.mass ?? outcome?.mass ?? 0}
          unit={job.display.unit}
          disabled={disabled}
          onChange={(mass) => put({ ...member, mass })}
        />
      </div>
    </section>
  );
}
