import { takeRenewed, useRenewed } from '../client/program.ts';

/** Says that the server runs a newer version of the program than this page, and takes it up when it suits. */
export function Renewed() {
  if (!useRenewed()) return null;
  return (
    <button
      type="button"
      className="button button-dark whitespace-nowrap"
      title="The server has a newer version of the program. What is not saved yet stays on this device."
      onClick={() => void takeRenewed()}
    >
      Load the new version
    </button>
  );
}
