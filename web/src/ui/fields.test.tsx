import { inches, type LengthFormat } from '@splay/core';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { fireEvent, render, screen } from '../../test/page.ts';
import { AngleField } from './angle-field.tsx';
import { LengthField } from './length-field.tsx';
import { QuantityField } from './quantity-field.tsx';
import { TextField } from './text-field.tsx';

const format: LengthFormat = { unit: 'in', division: 16 };
const number = vi.fn<(value: number) => void>();
const words = vi.fn<(text: string) => void>();
const box = () => screen.getByRole<HTMLInputElement>('textbox');
const type = (text: string) => {
  fireEvent.change(box(), { target: { value: text } });
  fireEvent.blur(box());
};

beforeEach(() => {
  number.mockClear();
  words.mockClear();
});

describe('a length', () => {
  const field = (
    <LengthField
      label="How much"
      mm={inches(12)}
      format={format}
      check={(mm) => (mm > 0 ? null : 'It must be more than 0.')}
      onChange={number}
    />
  );

  it('is read as a tape is', () => {
    render(field);
    type('1\' 2 3/8"');
    expect(number).toHaveBeenCalledExactlyOnceWith(inches(14.375));
  });

  it.each([
    ['twelve', /not part of a length/],
    ['', /Type a length/],
    ['-3', /more than 0/],
  ])('typed as “%s” stays there with the reason', (text, reason) => {
    render(field);
    type(text);
    expect(number).not.toHaveBeenCalled();
    expect(box().value).toBe(text);
    expect(screen.getByRole('alert').textContent).toMatch(reason);
    expect(box().getAttribute('aria-describedby')).toBe(screen.getByRole('alert').id);
  });

  it('steps by the shown division, eight of it with Shift, a quarter with Alt', () => {
    render(field);
    fireEvent.keyDown(box(), { key: 'ArrowUp' });
    fireEvent.keyDown(box(), { key: 'ArrowDown', shiftKey: true });
    fireEvent.keyDown(box(), { key: 'ArrowUp', altKey: true });
    fireEvent.click(screen.getByRole('button', { name: 'How much: less' }));
    expect(number.mock.calls.map(([mm]) => Math.round((mm - inches(12)) / inches(1 / 640)) / 10)).toEqual([
      4, -32, 1, -4,
    ]);
  });

  it('is what it was after Escape', () => {
    render(field);
    fireEvent.change(box(), { target: { value: '99' } });
    fireEvent.keyDown(box(), { key: 'Escape' });
    fireEvent.blur(box());
    expect([box().value, number.mock.calls.length]).toEqual(['12', 0]);
  });
});

describe('a stress', () => {
  const field = (
    <QuantityField
      label="Yield"
      of="stress"
      value={345}
      unit="in"
      disabled={false}
      check={(value) => (value > 0 ? null : 'It must be more than 0.')}
      onChange={number}
    />
  );

  it('is named and shown in what the shop calls it', () => {
    render(field);
    expect(screen.getByLabelText<HTMLInputElement>('Yield, ksi').value).toBe('50');
  });

  it('is not changed by leaving the field, though 50 ksi is not quite 345 MPa', () => {
    render(field);
    type('50');
    expect(number).not.toHaveBeenCalled();
  });

  it('may be typed in the other unit', () => {
    render(field);
    type('350 MPa');
    expect(number).toHaveBeenCalledExactlyOnceWith(350);
  });

  it.each([
    ['soft', /cannot be read here/],
    ['0', /more than 0/],
  ])('typed as “%s” is refused with the reason', (text, reason) => {
    render(field);
    type(text);
    expect(number).not.toHaveBeenCalled();
    expect(screen.getByRole('alert').textContent).toMatch(reason);
    expect(box().value).toBe(text);
  });
});

describe('an angle', () => {
  it('is typed in degrees, from 0 to less than 90', () => {
    render(<AngleField label="Angle from square" radians={Math.PI / 4} disabled={false} onChange={number} />);
    expect(box().value).toBe('45°');
    type('90');
    expect(screen.getByRole('alert').textContent).toMatch(/less than 90/);
    expect(number).not.toHaveBeenCalled();
    type('30°');
    expect(number).toHaveBeenCalledExactlyOnceWith(Math.PI / 6);
  });
});

describe('a name', () => {
  it('is taken without blanks around it, and kept where nothing is typed', () => {
    render(<TextField label="Name" value="Old" disabled={false} onChange={words} />);
    type('   ');
    expect([box().value, words.mock.calls.length]).toEqual(['Old', 0]);
    type('  New one ');
    expect(words).toHaveBeenCalledExactlyOnceWith('New one');
  });
});
