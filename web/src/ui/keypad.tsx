import type { LengthUnit } from '@splay/core';
import { Delete } from 'lucide-react';

/** Sixteenths as a tape shows them, in lowest terms. */
const SIXTEENTHS = Array.from({ length: 15 }, (_, index) => {
  const over = index + 1;
  const shared = [8, 4, 2].find((divisor) => over % divisor === 0) ?? 1;
  return `${over / shared}/${16 / shared}`;
});

const DIGITS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '0'];

/** What a key makes of the text so far: a fraction takes the place of the one before it, a digit follows it. */
export function pressKey(text: string, key: string): string {
  if (key === 'back') return text.replace(/\s*(\d+\/\d+|\S)\s*$/, '');
  if (key === 'minus') return text.startsWith('-') ? text.slice(1) : `-${text}`;
  if (key.includes('/')) {
    const whole = text.replace(/\s*\d+\/\d+$/, '');
    return /\d$/.test(whole) ? `${whole} ${key}` : `${whole}${key}`;
  }
  return /\d\/\d+$/.test(text) ? text : `${text}${key}`;
}

interface KeypadProps {
  readonly unit: LengthUnit;
  /** The figure may be below 0: ahead of the datum hole, under the datum plane. */
  readonly minus: boolean;
  readonly onKey: (key: string) => void;
}

/** Keys for a thumb in a glove: whole figures on the left, the fractions of a tape on the right. */
export function Keypad({ unit, minus, onKey }: KeypadProps) {
  const key = 'heading flex min-h-14 items-center justify-center border border-graphite bg-sheet active:bg-layout-wash';
  const digit = (figure: string) => (
    <button
      key={figure}
      type="button"
      className={`${key} text-2xl ${unit === 'mm' && figure === '0' ? 'col-span-4' : ''}`}
      onClick={() => onKey(figure)}
    >
      {figure}
    </button>
  );
  const below = (
    <button
      type="button"
      className={`${key} text-2xl disabled:border-rule disabled:text-rule`}
      aria-label="minus"
      disabled={!minus}
      onClick={() => onKey('minus')}
    >
      −
    </button>
  );
  const back = (
    <button type="button" className={key} aria-label="take back" onClick={() => onKey('back')}>
      <Delete size={22} />
    </button>
  );
  if (unit === 'mm')
    return (
      <div className="grid grid-cols-4 gap-1.5">
        {DIGITS.slice(0, 3).map(digit)}
        {back}
        {DIGITS.slice(3, 6).map(digit)}
        {below}
        {DIGITS.slice(6, 9).map(digit)}
        {digit('.')}
        {digit('0')}
      </div>
    );
  return (
    <div className="flex gap-2">
      <div className="grid flex-[3] grid-cols-3 gap-1.5">
        {DIGITS.map(digit)}
        {below}
        {back}
      </div>
      <div className="grid flex-[4] grid-cols-4 gap-1.5" role="group" aria-label="Fractions of an inch">
        {SIXTEENTHS.map((fraction) => (
          <button
            key={fraction}
            type="button"
            className={`${key} text-[1.7rem] ${fraction.endsWith('/16') ? '' : 'bg-bench'}`}
            onClick={() => onKey(fraction)}
          >
            <span className="fraction">{fraction}</span>
          </button>
        ))}
      </div>
    </div>
  );
}
