import { expect, it, vi } from 'vitest';
import { render, screen } from '../../test/page.ts';
import { useStands } from './use-stands.ts';

const Beside = () => <p>{useStands(false) ? 'beside the board' : 'not yet'}</p>;

it('lets what is beside the board come once the board was on the screen, and not before', async () => {
  const frames: FrameRequestCallback[] = [];
  vi.spyOn(window, 'requestAnimationFrame').mockImplementation((callback) => frames.push(callback));
  render(<Beside />);
  await new Promise((resolve) => setTimeout(resolve, 30));
  expect(screen.getByText('not yet')).toBeTruthy();
  expect(frames).toHaveLength(1);
  frames[0]?.(0);
  expect(screen.getByText('not yet')).toBeTruthy();
  expect(await screen.findByText('beside the board')).toBeTruthy();
  vi.restoreAllMocks();
});
