import {
  type SleeveKind,
  type SpliceSleeve,
  usualSleeve,
  wedgeOf,
  cornerRadiusOf,
  insideOf,
  TOLERANCE,
} from '@splay/core';
import { Choice } from '../../ui/choice.tsx';
import { CountField } from '../../ui/count-field.tsx';
import { Length } from '../../ui/length.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { make } from './selection.ts';
import type { SpliceFieldsProps } from './field-props.ts';

const KINDS: readonly (readonly [SleeveKind | 'none', string])[] = [
  ['none', 'none'],
  ['inner', 'inner: a tube inside'],
  ['wedge', 'wedge: a tube cut corner to corner'],
  ['folded', 'folded channel inside'],
  ['outer', 'outer: a tube over the rail'],
];

const above = (mm: number) => (mm > 0 ? null : 'It must be more than 0.');
const atLeast = (mm: number) => (mm >= 0 ? null : 'It must be 0 or more.');

/** The sleeve in or over the joint. */
export function SleeveFields({ store, job, hand, disabled }: SpliceFieldsProps) {
  const { splice, steel } = hand.one;
  const { next, sleeveFrom, joint } = hand.outcome;
  const { sleeve } = splice;
  const put = (label: string, next: SpliceSleeve | null) => make(store, label, hand, { ...splice, sleeve: next });
  const proposing = { steel, rules: job.rules, display: job.display };
  const room = insideOf(steel.section, cornerRadiusOf(steel.section));
  const begin = (kind: SleeveKind): SpliceSleeve | null => {
    if (kind !== 'wedge') return usualSleeve(kind, splice.form, proposing);
    const plain = usualSleeve('inner', splice.form, proposing);
    return plain && room ? { ...plain, kind, height: room.height * 1.1, wedgeLength: plain.ahead * 2.4 } : null;
  };
  if (sleeveFrom)
    return (
      <p className="text-sm">
        The sleeve of {sleeveFrom} runs through to {joint.letter}: it is changed there.
      </p>
    );
  const possible = KINDS.filter(([kind]) => kind === 'none' || begin(kind) !== null);
  const common = { format: job.display, disabled };
  const set = (changes: Partial<SpliceSleeve>) => sleeve && put('Changed a sleeve', { ...sleeve, ...changes });
  const wedge = sleeve?.kind === 'wedge' ? wedgeOf(sleeve, steel.section, job.rules) : null;
  return (
    <div className="space-y-2">
      <Choice
        label="In or over the rail"
        list
        value={sleeve?.kind ?? 'none'}
        choices={possible}
        disabled={disabled}
        onChange={(kind) =>
          put(kind === 'none' ? 'Took the sleeve out' : 'Put a sleeve in', kind === 'none' ? null : begin(kind))
        }
      />
      {room && sleeve && sleeve.kind !== 'outer' && (
        <p className="text-sm text-pencil">
          Room inside: <Length mm={room.height} format={job.display} /> high,{' '}
          <Length mm={room.width} format={job.display} /> wide.
        </p>
      )}
      {sleeve && (
        <>
          <label className="block text-sm text-pencil">
            Made from
            <input
              className="field mt-1 text-graphite"
              key={sleeve.stock}
              defaultValue={sleeve.stock}
              maxLength={120}
              disabled={disabled}
              onBlur={({ target }) =>
                target.value.trim() !== '' && target.value !== sleeve.stock && set({ stock: target.value.trim() })
              }
            />
          </label>
          <div className="grid grid-cols-2 gap-2">
            <LengthField
              {...common}
              label="High"
              mm={sleeve.height}
              check={above}
              onChange={(height) => set({ height })}
            />
            <LengthField
              {...common}
              label="Wide"
              mm={sleeve.width}
              check={above}
              onChange={(width) => set({ width })}
            />
            <LengthField {...common} label="Wall" mm={sleeve.wall} check={above} onChange={(wall) => set({ wall })} />
            {sleeve.kind !== 'folded' && (
              <LengthField
                {...common}
                label="Inner wall"
                mm={sleeve.inner ?? sleeve.wall}
                check={above}
                onChange={(inner) => set({ inner: Math.abs(inner - sleeve.wall) < TOLERANCE ? undefined : inner })}
              />
            )}
            {sleeve.kind === 'wedge' && (
              <LengthField
                {...common}
                label="Tube long"
                mm={sleeve.wedgeLength}
                check={above}
                onChange={(wedgeLength) => set({ wedgeLength })}
              />
            )}
            <LengthField
              {...common}
              label="Ahead"
              mm={sleeve.ahead}
              check={above}
              onChange={(ahead) => set({ ahead })}
            />
            <LengthField
              {...common}
              label="Behind"
              mm={sleeve.behind}
              check={above}
              onChange={(behind) => set({ behind })}
            />
            <LengthField
              {...common}
              label="Ends welded, leg"
              mm={sleeve.endLeg}
              check={atLeast}
              onChange={(endLeg) => set({ endLeg })}
            />
          </div>
          {next && (
            <>
              <Choice
                label={`On to ${next.letter}`}
                value={sleeve.through ? 'yes' : 'no'}
                disabled={disabled}
                choices={[
                  ['no', 'ends before'],
                  ['yes', 'runs through'],
                ]}
                onChange={(yes) => set({ through: yes === 'yes', caps: yes === 'yes' && sleeve.caps })}
              />
              {sleeve.through && (
                <>
                  <Choice
                    label="Between the joints"
                    value={sleeve.caps ? 'caps' : 'rail'}
                    disabled={disabled}
                    choices={[
                      ['rail', 'new rail'],
                      ['caps', 'caps alone'],
                    ]}
                    onChange={(what) => set({ caps: what === 'caps' })}
                  />
                  <p className="text-sm text-pencil">
                    In one length of{' '}
                    <Length
                      mm={sleeve.ahead + next.distance + sleeve.behind}
                      format={job.display}
                      className="font-semibold"
                    />
                    {sleeve.caps && '; caps cover it outside and count for nothing'}.
                  </p>
                </>
              )}
            </>
          )}
          <p className="text-sm text-pencil">Plug welds on each side of the joint</p>
          <div className="grid grid-cols-3 gap-2">
            <LengthField
              {...common}
              label="Across"
              mm={sleeve.plugs.diameter}
              check={above}
              onChange={(diameter) => set({ plugs: { ...sleeve.plugs, diameter } })}
            />
            <CountField
              label="top, bottom"
              value={sleeve.plugs.flanges}
              least={0}
              most={40}
              disabled={disabled}
              onChange={(flanges) => set({ plugs: { ...sleeve.plugs, flanges } })}
            />
            <CountField
              label="each side"
              value={sleeve.plugs.sides}
              least={0}
              most={40}
              disabled={disabled}
              onChange={(sides) => set({ plugs: { ...sleeve.plugs, sides } })}
            />
          </div>
          {wedge && (
            <p className="border-l-4 border-layout bg-layout-wash px-2 py-1 text-sm">
              Cut corner to corner, slide the halves{' '}
              <Length mm={wedge.slide} format={job.display} className="font-semibold" />; they then overlap over{' '}
              <Length mm={wedge.overlap} format={job.display} className="font-semibold" />.
            </p>
          )}
        </>
      )}
    </div>
  );
}
