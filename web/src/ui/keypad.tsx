import type { LengthUnit } from '@splay/core';
import { Delete } from 'lucide-react';

/** Sixteenths as a tape shows them, in lowest terms. */
const SIXTEENTHS = Array.from({ length: 15 }, (_, index) => {
  const over = index + 1;
  const shared = [8, 4, 2].find((divisor) => over % divisor === 0) ?? 1;
  return `${over / shared}/${16 / shared}`;
});

const DIGITS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '0'];

/** One thirty-second more than what is typed, in lowest terms. */
function plusThirtySecond(text: string): string {
  const [, sign = '', whole = '', over = '0', under = '1'] = /^(-?)(\d*)\s*(?:(\d+)\/(\d+))?$/.exec(text.trim()) ?? [];
  const parts = (Number(over) * 32) / Number(under) + 1;
  if (!Number.isInteger(parts)) return text;
  const [more, left] = [Math.floor(parts / 32), parts % 32];
  const inches = Number(whole || '0') + more;
  const shared = [32, 16, 8, 4, 2].find((divisor) => left % divisor === 0) ?? 1;
  const fraction = left === 0 ? '' : `${left / shared}/${32 / shared}`;
  return `${sign}${[inches > 0 || fraction === '' ? String(inches) : '', fraction].filter(Boolean).join(' ')}`;
}

/**
 * What a key makes of the text so far: a fraction takes the place of the one before it, a digit follows it, and `+1/32`
 * adds a thirty-second.
 */
export function pressKey(text: string, key: string): string {
  if (key === 'back') return text.replace(/\s*(\d+\/\d+|\S)\s*$/, '');
  if (key === '+1/32') return plusThirtySecond(text);
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
  const key = 'heading flex min-h-12 items-center justify-center border border-graphite bg-sheet active:bg-layout-wash';
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
    <div className="flex gap-1 min-[400px]:gap-2">
      <div className="grid flex-[3] grid-cols-3 gap-px min-[400px]:gap-1.5">
        {DIGITS.map(digit)}
        {below}
        {back}
      </div>
      <div
        className="grid flex-[4] grid-cols-4 gap-px min-[400px]:gap-1.5"
        role="group"
        aria-label="Fractions of an inch"
      >
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
        <button
          type="button"
          className={`${key} bg-bench text-lg`}
          aria-label="one thirty-second more"
          onClick={() => onKey('+1/32')}
        >
          +<span className="fraction">1/32</span>
        </button>
      </div>
    </div>
  );
}
