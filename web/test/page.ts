export { act, cleanup, fireEvent, render, renderHook, screen, waitFor, within } from '@testing-library/react';
export { default as userEvent } from '@testing-library/user-event';

// The page that tests draw on has no size: nothing is out of sight on it, and nothing is watched for its size.
Element.prototype.scrollIntoView ??= () => undefined;
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
