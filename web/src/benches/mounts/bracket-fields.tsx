import {
  ARM_MAKES,
  BOLT_GRADES,
  type Bracket,
  type BracketFixing,
  BRACKET_FORMS,
  type Job,
  type LengthFormat,
  type MountingOutcome,
  inches,
  type Mounting,
  withForm,
} from '@splay/core';
import { Choice } from '../../ui/choice.tsx';
import { CountField } from '../../ui/count-field.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { FORM_WORDS, MAKE_WORDS } from '../../ui/mounting-words.ts';

const above = (mm: number): string | null => (mm > 0 ? null : 'It must be more than 0.');
const atLeast = (mm: number): string | null => (mm >= 0 ? null : 'It must be 0 or more.');

interface BracketFieldsProps {
  readonly outcome: MountingOutcome;
  readonly job: Job;
  readonly disabled: boolean;
  readonly onChange: (label: string, change: Partial<Mounting>) => void;
}

/** What the bracket is, and its sizes. */
export function BracketFields({ outcome, job, disabled, onChange }: BracketFieldsProps) {
  const { bracket } = outcome.mounting;
  const { material } = job.donor;
  const changed = (form: Bracket['form']) =>
    withForm(outcome.mounting, form, {
      rail: outcome.rail,
      top: outcome.height ?? 0,
      rules: job.rules,
      display: job.display,
      weldable: material.weldable && !material.heatTreated,
    });
  const put = (next: Bracket) => onChange(`Changed the bracket of ${outcome.tag}`, { bracket: next });
  return (
    <div className="space-y-2">
      <Choice
        label="Bracket"
        list
        value={bracket.form}
        disabled={disabled}
        choices={BRACKET_FORMS.map((form) => [form, FORM_WORDS[form]] as const)}
        onChange={(form) => form !== bracket.form && onChange(`Another bracket for ${outcome.tag}`, changed(form))}
      />
      <Sizes bracket={bracket} format={job.display} disabled={disabled} onChange={put} />
      {bracket.form === 'old' && (
        <p className="text-sm text-pencil">
          Its height: from the rail that it stood on to where the body sat. Cut it from the old frame with a little of
          the rail left on it, and grind that off.
        </p>
      )}
    </div>
  );
}

interface SizesProps {
  readonly bracket: Bracket;
  readonly format: LengthFormat;
  readonly disabled: boolean;
  readonly onChange: (bracket: Bracket) => void;
}

/** The sizes of a bracket, and how one on the web is held to it. */
function Sizes(props: SizesProps) {
  const { bracket, onChange, ...common } = props;
  return (
    <>
      <FormSizes {...props} />
      {(bracket.form === 'arm' || bracket.form === 'angle') && (
        <FixingFields
          fixing={bracket.fixing}
          wall={bracket.thickness}
          {...common}
          onChange={(fixing) => onChange({ ...bracket, fixing })}
        />
      )}
    </>
  );
}

/** The sizes of a bracket by its form, two beside each other. */
function FormSizes({ bracket, onChange, ...common }: SizesProps) {
  const { disabled } = common;
  if (bracket.form === 'none') return null;
  const size = <K extends string>(
    key: K,
    label: string,
    value: number,
    put: (mm: number) => Bracket,
    check = above,
  ) => (
    <LengthField key={key} {...common} label={label} mm={value} check={check} onChange={(mm) => onChange(put(mm))} />
  );
  const along = size('along', 'Wide along the rail', bracket.along, (mm) => ({ ...bracket, along: mm }));
  switch (bracket.form) {
    case 'old':
      return (
        <div className="grid grid-cols-2 gap-2">
          {size('height', 'Its own height', bracket.height, (height) => ({ ...bracket, height }))}
          {along}
          {size('leg', 'Leg of the weld', bracket.leg, (leg) => ({ ...bracket, leg }))}
        </div>
      );
    case 'perch':
      return (
        <>
          <div className="grid grid-cols-2 gap-2">
            {along}
            {size('across', 'Wide across it', bracket.across, (across) => ({ ...bracket, across }))}
            {size('thickness', 'Plate', bracket.thickness, (thickness) => ({ ...bracket, thickness }))}
            {size('radius', 'Inside radius', bracket.radius, (radius) => ({ ...bracket, radius }), atLeast)}
            {size('leg', 'Leg of the weld', bracket.leg, (leg) => ({ ...bracket, leg }))}
          </div>
          <Choice
            label="Its ends"
            value={bracket.boxed ? 'boxed' : 'open'}
            disabled={disabled}
            choices={[
              ['open', 'open'],
              ['boxed', 'closed with plate'],
            ]}
            onChange={(ends) => onChange({ ...bracket, boxed: ends === 'boxed' })}
          />
        </>
      );
    case 'arm':
      return (
        <>
          <Choice
            label="Made as"
            value={bracket.make}
            disabled={disabled}
            choices={ARM_MAKES.map((make) => [make, MAKE_WORDS[make]] as const)}
            onChange={(make) => onChange({ ...bracket, make })}
          />
          <div className="grid grid-cols-2 gap-2">
            {along}
            {size('thickness', bracket.make === 'tube' ? 'Wall' : 'Plate', bracket.thickness, (thickness) => ({
              ...bracket,
              thickness,
            }))}
            {size('deep', 'Deep at the rail', bracket.deep, (deep) => ({
              ...bracket,
              deep,
              tip: Math.min(bracket.tip, deep),
            }))}
            {bracket.make !== 'tube' && size('tip', 'Deep at its end', bracket.tip, (tip) => ({ ...bracket, tip }))}
            {bracket.make !== 'tube' &&
              size('radius', 'Inside radius', bracket.radius, (radius) => ({ ...bracket, radius }), atLeast)}
          </div>
        </>
      );
    case 'angle':
      return (
        <div className="grid grid-cols-2 gap-2">
          {along}
          {size('upright', 'Leg on the web', bracket.upright, (upright) => ({ ...bracket, upright }))}
          {size('thickness', 'Plate', bracket.thickness, (thickness) => ({ ...bracket, thickness }))}
          {size('radius', 'Inside radius', bracket.radius, (radius) => ({ ...bracket, radius }), atLeast)}
        </div>
      );
  }
}

interface FixingProps {
  readonly fixing: BracketFixing;
  readonly wall: number;
  readonly format: LengthFormat;
  readonly disabled: boolean;
  readonly onChange: (fixing: BracketFixing) => void;
}

/** How it is held to the web: welded, or bolted. */
function FixingFields({ fixing, wall, format, disabled, onChange }: FixingProps) {
  return (
    <>
      <Choice
        label="Held to the web by"
        value={fixing.by}
        disabled={disabled}
        choices={[
          ['weld', 'weld'],
          ['bolts', 'bolts'],
        ]}
        onChange={(by) =>
          by !== fixing.by &&
          onChange(
            by === 'weld'
              ? { by, leg: wall }
              : { by, grade: '10.9', diameter: format.unit === 'in' ? inches(1 / 2) : 12, count: 4 },
          )
        }
      />
      <div className="grid grid-cols-2 gap-2">
        {fixing.by === 'weld' ? (
          <LengthField
            label="Leg of the weld"
            mm={fixing.leg}
            {...{ format, disabled }}
            check={above}
            onChange={(leg) => onChange({ ...fixing, leg })}
          />
        ) : (
          <>
            <LengthField
              label="Bolt"
              mm={fixing.diameter}
              {...{ format, disabled }}
              check={above}
              onChange={(diameter) => onChange({ ...fixing, diameter })}
            />
            <CountField
              label="bolts"
              value={fixing.count}
              least={2}
              most={12}
              disabled={disabled}
              onChange={(count) => onChange({ ...fixing, count })}
            />
            <Choice
              label="Grade"
              list
              value={fixing.grade}
              disabled={disabled}
              choices={BOLT_GRADES.map((grade) => [grade, grade] as const)}
              onChange={(grade) => onChange({ ...fixing, grade })}
            />
          </>
        )}
      </div>
    </>
  );
}
