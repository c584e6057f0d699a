import type { LengthUnit } from '@splay/core';
import { Keypad, pressKey } from './keypad.tsx';

interface ThumbEntryProps {
  readonly text: string;
  /** What stands there before anything is typed. */
  readonly before: string;
  readonly problem: string;
  readonly unit: LengthUnit;
  /** The length may be below 0. */
  readonly minus: boolean;
  readonly disabled: boolean;
  readonly onText: (text: string) => void;
  readonly onTake: () => void;
}

/** A length typed with a thumb: what stands so far, what is wrong with it, and the keys. */
export function ThumbEntry({ text, before, problem, unit, minus, disabled, onText, onTake }: ThumbEntryProps) {
  return (
    <>
      <div className="flex gap-2">
        <output
          aria-label="Typed so far"
          className={`heading flex h-14 flex-1 items-center justify-end border-2 bg-sheet px-3 text-3xl ${problem ? 'border-oxide' : 'border-layout'}`}
        >
          {text || <span className="text-pencil">{before}</span>}
        </output>
        <button
          type="button"
          className="button button-dark h-14 px-5 text-lg"
          disabled={disabled || text === ''}
          onClick={onTake}
        >
          Save
        </button>
      </div>
      {problem && (
        <p role="alert" className="text-oxide">
          {problem}
        </p>
      )}
      <Keypad unit={unit} minus={minus} onKey={(key) => onText(pressKey(text, key))} />
    </>
  );
}
