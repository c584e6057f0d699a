import {
  type LengthUnit,
  QUICK_FIELDS,
  QUICK_GOALS,
  type QuickEntries,
  type QuickFieldId,
  type QuickGoal,
  type QuickProblem,
  type Section,
  STOCK_SECTIONS,
} from '@splay/core';
import { useState } from 'react';
import { Choice } from '../../ui/choice.tsx';
import { MaybeLength } from '../../ui/maybe-length.tsx';

interface QuickFormProps {
  readonly entries: QuickEntries;
  readonly problems: readonly QuickProblem[];
  readonly onChange: (entries: QuickEntries) => void;
}

/** The fields of the frame in walking order, front to rear, under a heading each. */
const GROUPS: readonly (readonly [heading: string, fields: readonly QuickFieldId[]])[] = [
  ['The frame', ['wheelbase', 'width', 'ahead', 'behind']],
  ['Springs, cab, tank', ['frontHanger', 'cabBack', 'tankFront', 'tankRear', 'rearHangerAhead', 'rearHangerBehind']],
];

const OTHER = 'other';

/** A dozen figures of a straight frame. */
export function QuickForm({ entries, problems, onChange }: QuickFormProps) {
  const { display, goal, wanted } = entries;
  // Nothing is wrong with a field that nobody has come to yet.
  const wrongWith = (field: QuickProblem['field']) =>
    field === 'section' || entries[field] !== null
      ? problems.find((problem) => problem.field === field)?.message
      : undefined;
  const field = (id: QuickFieldId) => (
    <MaybeLength
      key={id}
      label={QUICK_FIELDS[id].label}
      hint={QUICK_FIELDS[id].hint}
      mm={entries[id] ?? undefined}
      format={display}
      disabled={false}
      empty={QUICK_FIELDS[id].optional ? 'not measured' : ''}
      problem={wrongWith(id)}
      onChange={(mm) => {
        onChange({ ...entries, [id]: mm ?? null });
        return '';
      }}
    />
  );
  return (
    <form className="space-y-4" aria-label="I have, I want" onSubmit={(event) => event.preventDefault()}>
      <fieldset className="border-2 border-layout p-3">
        <legend className="heading px-1 text-xl text-layout">I want</legend>
        <div className="grid grid-cols-2 gap-3">
          <Choice<QuickGoal>
            list
            label="What"
            value={goal}
            disabled={false}
            choices={Object.entries(QUICK_GOALS) as [QuickGoal, string][]}
            onChange={(next) => onChange({ ...entries, goal: next })}
          />
          <MaybeLength
            label={`${QUICK_GOALS[goal]} wanted`}
            mm={wanted ?? undefined}
            format={display}
            disabled={false}
            empty=""
            problem={wrongWith('wanted')}
            onChange={(mm) => {
              onChange({ ...entries, wanted: mm ?? null });
              return '';
            }}
          />
        </div>
      </fieldset>
      <fieldset className="border border-graphite p-3">
        <legend className="heading px-1 text-xl">I have</legend>
        <div className="space-y-3">
          <div className="grid grid-cols-[1fr_auto] gap-3">
            <RailSize entries={entries} problem={wrongWith('section')} onChange={onChange} />
            <Choice<LengthUnit>
              label="Lengths in"
              value={display.unit}
              disabled={false}
              choices={[
                ['in', 'in'],
                ['mm', 'mm'],
              ]}
              onChange={(unit) => onChange({ ...entries, display: { ...display, unit } })}
            />
          </div>
          {GROUPS.map(([heading, fields]) => (
            <div key={heading} role="group" aria-label={heading}>
              <p className="label mb-0.5">{heading}</p>
              <div className="grid grid-cols-2 gap-x-3 gap-y-1.5">{fields.map(field)}</div>
            </div>
          ))}
        </div>
      </fieldset>
    </form>
  );
}

/** The rail from the list, or by its sizes. */
function RailSize({
  entries,
  problem,
  onChange,
}: Omit<QuickFormProps, 'problems'> & { readonly problem: string | undefined }) {
  const { section, display } = entries;
  const [other, setOther] = useState(() => !STOCK_SECTIONS.some((stock) => same(stock.section, section)));
  const index = STOCK_SECTIONS.findIndex((stock) => same(stock.section, section));
  const put = (next: Section) => onChange({ ...entries, section: next });
  const width = section.kind === 'tube' ? section.width : section.kind === 'channel' ? section.flange : section.depth;
  const withSizes = (kind: 'channel' | 'tube', depth: number, across: number, wall: number): Section =>
    kind === 'tube'
      ? { kind, depth, width: across, thickness: wall, inner: wall }
      : { kind, depth, flange: across, thickness: wall };
  const kind = section.kind === 'tube' ? 'tube' : 'channel';
  const size = (label: string, mm: number, take: (mm: number) => Section, wrong?: string) => (
    <MaybeLength
      label={label}
      mm={mm}
      format={{ ...display, division: 64 }}
      disabled={false}
      problem={wrong}
      onChange={(typed) => {
        if (typed === undefined) return `Enter the ${label.toLowerCase()}.`;
        put(take(typed));
        return '';
      }}
    />
  );
  return (
    <div className="space-y-2">
      <Choice
        list
        label="Rail size"
        value={other || index < 0 ? OTHER : String(index)}
        disabled={false}
        choices={[
          ...STOCK_SECTIONS.map(({ name }, at) => [String(at), name] as const),
          [OTHER, 'other: enter depth, flange, wall'],
        ]}
        onChange={(choice) => {
          setOther(choice === OTHER);
          const stock = STOCK_SECTIONS[Number(choice)];
          if (stock) put(stock.section);
        }}
      />
      {(other || index < 0) && (
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          <Choice
            list
            label="Kind"
            value={kind}
            disabled={false}
            choices={[
              ['channel', 'channel'],
              ['tube', 'tube'],
            ]}
            onChange={(next) => put(withSizes(next, section.depth, width, section.thickness))}
          />
          {size('Depth', section.depth, (mm) => withSizes(kind, mm, width, section.thickness), problem)}
          {size(kind === 'tube' ? 'Width' : 'Flange', width, (mm) =>
            withSizes(kind, section.depth, mm, section.thickness),
          )}
          {size('Wall', section.thickness, (mm) => withSizes(kind, section.depth, width, mm))}
        </div>
      )}
    </div>
  );
}

const same = (a: Section, b: Section): boolean => JSON.stringify(a) === JSON.stringify(b);
