import { beforeEach, describe, expect, it, vi } from 'vitest';
import { fireEvent, render, screen } from '../../test/page.ts';
import { CountField } from './count-field.tsx';

const counted = vi.fn<(value: number) => void>();
const box = () => screen.getByRole<HTMLInputElement>('textbox', { name: /^plugs/ });
const type = (text: string) => {
  fireEvent.change(box(), { target: { value: text } });
  fireEvent.blur(box());
};
const field = (value = 4, disabled = false) => (
  <CountField label="plugs" value={value} least={1} most={12} disabled={disabled} onChange={counted} />
);

beforeEach(() => {
  counted.mockClear();
});

describe('a whole number of things', () => {
  it.each([
    ['1', 1],
    ['12', 12],
    [' 7 ', 7],
    ['007', 7],
  ])('“%s” is taken', (text, count) => {
    render(field());
    type(text);
    expect(counted).toHaveBeenCalledExactlyOnceWith(count);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it.each(['0', '13', '-2', '2.5', '2,5', '1e1', 'four', '', ' '])(
    '“%s” stays there with what may be typed',
    (text) => {
      render(field());
      type(text);
      expect(counted).not.toHaveBeenCalled();
      expect(box().value).toBe(text);
      expect(box().getAttribute('aria-invalid')).toBe('true');
      expect(screen.getByRole('alert').textContent).toBe('A whole number from 1 to 12.');
    },
  );

  it('put right again says nothing more', () => {
    render(field());
    type('forty');
    type('5');
    expect(counted).toHaveBeenCalledExactlyOnceWith(5);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('what stands there already is no change', () => {
    render(field());
    type('4');
    expect(counted).not.toHaveBeenCalled();
  });

  it('shows what it is given when that changes from elsewhere', () => {
    const { rerender } = render(field(4));
    rerender(field(9));
    expect(box().value).toBe('9');
  });

  it('is only looked at where nothing may be changed', () => {
    render(field(4, true));
    expect(box().disabled).toBe(true);
  });
});
