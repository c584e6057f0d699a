import { BOLT_GRADES, type Fastening, type Pattern } from '@splay/core';
import { Choice } from '../../ui/choice.tsx';
import { CountField } from '../../ui/count-field.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import type { SpliceFieldsProps } from './field-props.ts';

/** A size that must be there. */
export const above = (mm: number) => (mm > 0 ? null : 'It must be more than 0.');
/** A size that may be none. */
export const atLeast = (mm: number) => (mm >= 0 ? null : 'It must be 0 or more.');

interface FasteningProps {
  readonly fastening: Fastening;
  readonly wall: number;
  readonly format: SpliceFieldsProps['job']['display'];
  readonly disabled: boolean;
  readonly onChange: (fastening: Fastening) => void;
}

const PLUGS: Pattern = { diameter: 16, along: 2, rows: 2 };

/** How the plate is held: fillets with plugs or without, or bolts. */
export function FasteningFields({ fastening, wall, format, disabled, onChange }: FasteningProps) {
  const common = { format, disabled };
  const pattern = (of: Pattern, put: (next: Pattern) => void, what: string) => (
    <div className="grid grid-cols-3 gap-2">
      <LengthField
        {...common}
        label={what}
        mm={of.diameter}
        check={above}
        onChange={(diameter) => put({ ...of, diameter })}
      />
      <CountField
        label="a side"
        value={of.along}
        least={1}
        most={40}
        disabled={disabled}
        onChange={(along) => put({ ...of, along })}
      />
      <CountField
        label="rows"
        value={of.rows}
        least={1}
        most={12}
        disabled={disabled}
        onChange={(rows) => put({ ...of, rows })}
      />
    </div>
  );
  return (
    <div className="space-y-2">
      <Choice
        label="Held by"
        value={fastening.by}
        disabled={disabled}
        choices={[
          ['weld', 'weld'],
          ['bolts', 'bolts'],
        ]}
        onChange={(by) =>
          by !== fastening.by &&
          onChange(
            by === 'weld'
              ? { by, leg: wall, ends: true, plugs: null }
              : { by, grade: '10.9', bolts: { diameter: 16, along: 3, rows: 2 } },
          )
        }
      />
      {fastening.by === 'weld' ? (
        <>
          <LengthField
            {...common}
            label="Leg of the fillets"
            mm={fastening.leg}
            check={atLeast}
            onChange={(leg) => onChange({ ...fastening, leg })}
          />
          <Choice
            label="Ends"
            value={fastening.ends ? 'yes' : 'no'}
            disabled={disabled}
            choices={[
              ['yes', 'welded too'],
              ['no', 'left open'],
            ]}
            onChange={(ends) => onChange({ ...fastening, ends: ends === 'yes' })}
          />
          <Choice
            label="Plug welds"
            value={fastening.plugs ? 'yes' : 'no'}
            disabled={disabled}
            choices={[
              ['no', 'none'],
              ['yes', 'in a pattern'],
            ]}
            onChange={(yes) => onChange({ ...fastening, plugs: yes === 'yes' ? (fastening.plugs ?? PLUGS) : null })}
          />
          {fastening.plugs && pattern(fastening.plugs, (plugs) => onChange({ ...fastening, plugs }), 'Across')}
        </>
      ) : (
        <>
          <Choice
            label="Grade"
            list
            value={fastening.grade}
            disabled={disabled}
            choices={BOLT_GRADES.map((grade) => [grade, grade] as const)}
            onChange={(grade) => onChange({ ...fastening, grade })}
          />
          {pattern(fastening.bolts, (bolts) => onChange({ ...fastening, bolts }), 'Bolt')}
        </>
      )}
    </div>
  );
}
