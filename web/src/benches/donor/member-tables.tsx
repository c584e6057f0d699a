import {
  type Anchor,
  type Brace,
  copiesOf,
  datumStation,
  type Frame,
  inches,
  type Member,
  type MemberEnd,
  type MemberPoint,
  type RailId,
  railEnds,
  railIdOf,
  railOf,
} from '@splay/core';
import { EditTable } from '../../ui/edit-table.tsx';
import { Length } from '../../ui/length.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { Quantity } from '../../ui/quantity.tsx';
import { type Choice, choiceColumn, type Column, lengthColumn, textColumn } from '../../ui/table-columns.ts';
import { freshId } from '../../client/fresh-id.ts';
import type { PartProps } from './donor-part.tsx';

const COPIES: readonly Choice[] = [
  ['pair', 'left and right'],
  ['single', 'one'],
];

/** What an end of a member can be fixed to. */
const endChoices = ({ crossmembers, members }: Frame, own: string): readonly Choice[] => [
  ['own-rail', 'its own rail'],
  ['other-rail', 'rail across'],
  ['free', 'nothing'],
  ...crossmembers.map(({ id, name }) => [`crossmember/${id}`, name] as const),
  ...members.filter(({ id }) => id !== own).map(({ id, name }) => [`member/${id}`, name] as const),
];

function endColumn(end: 'front' | 'rear', title: string, choices: readonly Choice[]): Column<Member> {
  return {
    key: end,
    title,
    width: '24%',
    kind: 'choice',
    choices,
    get: (member) => [member[end].on, member[end].to].filter((part) => part !== undefined).join('/'),
    set: (member, choice) => {
      const [on = 'free', to] = choice.split('/');
      const { fixing } = member[end];
      return { ...member, [end]: { on: on as MemberEnd['on'], fixing, ...(to === undefined ? {} : { to }) } };
    },
  };
}

/** Every rail and copy of a member, as choices for an end of a brace. */
const railChoices = ({ members }: Frame): readonly Choice[] => [
  ['left', 'left rail'],
  ['right', 'right rail'],
  ...members.flatMap((member) =>
    copiesOf(member).map((side) => [railIdOf(member.id, side), `${member.name}, ${side}`] as const),
  ),
];

const anchorColumn = (end: 'from' | 'to', title: string, choices: readonly Choice[]): Column<Brace> => ({
  key: `${end}.rail`,
  title,
  width: '17%',
  kind: 'choice',
  choices,
  get: (brace) => brace[end].rail,
  set: (brace, rail) => ({ ...brace, [end]: { ...brace[end], rail: rail as RailId } }),
});

const anchorLength = (
  end: 'from' | 'to',
  key: keyof Omit<Anchor, 'rail'>,
  title: string,
  offset = 0,
): Column<Brace> => ({
  key: `${end}.${key}`,
  title,
  width: '10%',
  kind: 'length',
  offset,
  get: (brace) => brace[end][key],
  set: (brace, mm) => ({ ...brace, [end]: { ...brace[end], [key]: mm } }),
});

/** A straight member inside the rails over the middle half of the frame: to be typed over. */
function newMember({ rails, sections }: Frame, count: number): Member {
  const rail = railOf(rails, 'right');
  const [front, rear] = railEnds(rail);
  const outward = Math.max(0, Math.min(...rail.map(({ halfWidth }) => halfWidth)) - inches(4));
  const point = (share: number): MemberPoint => ({ x: front + share * (rear - front), outward, z: inches(-2) });
  const end: MemberEnd = { on: 'own-rail', fixing: 'welded' };
  return {
    id: freshId('member'),
    name: `Member ${count + 1}`,
    copies: 'pair',
    section: sections[0]?.id ?? '',
    path: [point(0.25), point(0.75)],
    front: end,
    rear: end,
  };
}

/** What runs along the frame beside its two rails, and what braces it across or on the diagonal. */
export function MemberTables({ job, result, set, setRows, disabled, selected, onSelect }: PartProps) {
  const { donor, display } = job;
  const { members, braces } = donor;
  const datum = datumStation(donor);
  const sections = choiceColumn<Member & Brace>(
    'section',
    'Section',
    '14%',
    donor.sections.map(({ id }) => [id, id] as const),
  );
  const index = members.findIndex(({ id }) => id === selected);
  const member = members[index];
  const rails = railChoices(donor);
  return (
    <>
      <PanelHeading>Members beside the rails</PanelHeading>
      <p className="mb-2 text-sm text-pencil">
        Legs of an X, upper tubes, subframe rails: what runs along the frame beside its two rails. Every cut through the
        rails cuts them too; pick one to type the points of its middle line.
      </p>
      <EditTable<Member>
        caption="Members"
        columns={[
          textColumn('name', 'Name', '18%'),
          choiceColumn('copies', 'How many', '20%', COPIES),
          sections as unknown as Column<Member>,
          endColumn('front', 'Front end on', endChoices(donor, member?.id ?? '')),
          endColumn('rear', 'Rear end on', endChoices(donor, member?.id ?? '')),
        ]}
        rows={members}
        format={display}
        disabled={disabled}
        addLabel="Add a member"
        selectedRow={index}
        onSelectRow={(row) => onSelect(members[row]?.id ?? null)}
        newRow={(_, count) => newMember(donor, count)}
        onChange={(rows) => setRows('Edited members', 'members', (frame) => ({ ...frame, members: rows }))}
      />
      {member && (
        <section aria-label={member.name} className="mt-2 border border-layout bg-layout-wash/50 px-3 pt-2 pb-3">
          <MemberHead {...{ member, result, display }} />
          <EditTable<MemberPoint>
            caption={`Points of ${member.name}`}
            columns={[
              lengthColumn('x', 'From datum', '34%', datum),
              lengthColumn('outward', 'Outward', '33%'),
              lengthColumn('z', 'Height of its middle', '33%'),
            ]}
            rows={member.path}
            format={display}
            disabled={disabled}
            addLabel="Add a point"
            newRow={(after) => ({ x: (after?.x ?? 0) + inches(12), outward: after?.outward ?? 0, z: after?.z ?? 0 })}
            onChange={(rows) =>
              setRows('Edited a member', `members.${index}.path`, (frame) => ({
                ...frame,
                members: frame.members.map((other, at) => (at === index ? { ...other, path: rows } : other)),
              }))
            }
          />
        </section>
      )}
      <PanelHeading>Braces</PanelHeading>
      <EditTable<Brace>
        caption="Braces"
        columns={[
          textColumn('name', 'Name', '19%'),
          anchorColumn('from', 'From', rails),
          anchorLength('from', 'x', 'At', datum),
          anchorLength('from', 'down', 'Down'),
          anchorColumn('to', 'To', rails),
          anchorLength('to', 'x', 'At', datum),
          anchorLength('to', 'down', 'Down'),
        ]}
        rows={braces}
        format={display}
        disabled={disabled}
        addLabel="Add a brace"
        selectedRow={braces.findIndex(({ id }) => id === selected)}
        onSelectRow={(row) => onSelect(braces[row]?.id ?? null)}
        newRow={(after, count) => ({
          id: freshId('brace'),
          name: `Brace ${count + 1}`,
          from: { rail: 'left', x: (after?.to.x ?? datum) + inches(6), down: inches(2) },
          to: { rail: 'right', x: (after?.to.x ?? datum) + inches(30), down: inches(2) },
          section: donor.sections[0]?.id ?? '',
          fixing: 'bolted',
          removable: true,
        })}
        onChange={(rows) => setRows('Edited braces', 'braces', (frame) => ({ ...frame, braces: rows }))}
      />
      <BraceSections {...{ braces, donor, disabled, set }} />
    </>
  );
}

/** How long a member is and what it weighs, on the donor and in the plan. */
function MemberHead({
  member,
  result,
  display,
}: {
  readonly member: Member;
  readonly result: PartProps['result'];
  readonly display: PartProps['job']['display'];
}) {
  const outcome = result.members.find((candidate) => candidate.member.id === member.id);
  const [copy] = outcome?.copies ?? [];
  return (
    <h3 className="heading mb-1 flex flex-wrap items-baseline justify-between gap-x-3 text-lg">
      {member.name}
      {outcome && copy && (
        <span className="font-text text-sm font-normal text-pencil">
          <Length mm={copy.lengthBefore} format={display} className="font-semibold" /> long,{' '}
          <Quantity of="mass" value={outcome.massBefore} unit={display.unit} />
          {outcome.status !== 'stays' && `; in the plan: ${outcome.status.replaceAll('-', ' ')}`}
          {Math.abs(copy.lengthAfter - copy.lengthBefore) > 0.1 && (
            <>
              , <Length mm={copy.lengthAfter} format={display} className="font-semibold" />
            </>
          )}
        </span>
      )}
    </h3>
  );
}

/** The section of each brace: it does not fit in its row. */
function BraceSections({
  braces,
  donor,
  disabled,
  set,
}: {
  readonly braces: readonly Brace[];
  readonly donor: Frame;
  readonly disabled: boolean;
  readonly set: PartProps['set'];
}) {
  if (braces.length === 0) return null;
  return (
    <ul className="mt-2 grid grid-cols-2 gap-x-3 gap-y-1.5">
      {braces.map((brace) => (
        <li key={brace.id}>
          <label className="flex items-center justify-between gap-2 text-sm text-pencil">
            {brace.name}, section
            <select
              className="field h-8 w-32"
              value={brace.section}
              disabled={disabled}
              onChange={(event) =>
                set('Edited a brace', (frame) => ({
                  ...frame,
                  braces: frame.braces.map((other) =>
                    other.id === brace.id ? { ...other, section: event.target.value } : other,
                  ),
                }))
              }
            >
              {donor.sections.map(({ id }) => (
                <option key={id} value={id}>
                  {id}
                </option>
              ))}
            </select>
          </label>
        </li>
      ))}
    </ul>
  );
}
